import htmx from 'htmx.org';
import { startAir } from './air.js';
import { startChat } from './chat.js';
import { startCommand } from './command.js';
import { startDisplay } from './display.js';
import { startImport } from './import.js';
import { startKeys } from './keys.js';
import { layNotes } from './margin.js';
import { startSession } from './session.js';
import { startWaiting } from './waiting.js';

window.htmx = htmx;

startSession();
startKeys();
startChat();
startCommand();
startAir();
startImport();
startDisplay();
startWaiting();
layNotes();
