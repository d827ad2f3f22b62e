import htmx from 'htmx.org';
import { startAir } from './air.js';
import { startChat } from './chat.js';
import { startCommand } from './command.js';
import { startDisplay } from './display.js';
import { startEvening } from './evening.js';
import { startImport } from './import.js';
import { startKeys } from './keys.js';
import { startList } from './list.js';
import { startLookup } from './lookup.js';
import { layNotes } from './margin.js';
import { startParts } from './parts.js';
import { startSession } from './session.js';
import { showType } from './typed.js';
import { startWaiting } from './waiting.js';

window.htmx = htmx;

startSession();
startKeys();
startChat();
startCommand();
startAir();
startLookup();
startImport();
startList();
startDisplay();
startEvening();
startParts();
startWaiting();
layNotes();
// Forms come later too, where they are asked for.
htmx.onLoad((loaded) => [loaded, ...loaded.querySelectorAll('form')].filter((one) => one.matches('form[data-named]')).forEach(showType));
