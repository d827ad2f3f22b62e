import { hoverTooltip } from '@codemirror/view';
import { insideSlot } from './complete.js';

/** The entry that a word in a slot is a use of: a filter behind a bar, else the longest name that begins so. */
export function entryAt(entries, before, word) {
    const isFilter = /\|\s*$/.test(before);
    const folded = word.toLowerCase();
    const fits = (entry) => (entry.heading === 'Filters') === isFilter && entry.heading !== 'Emotes' && (folded === entry.insert.toLowerCase() || folded.startsWith(`${entry.insert.toLowerCase()}.`));
    return entries.filter(fits).sort((a, b) => b.insert.length - a.insert.length)[0] ?? null;
}

/** Opens what a name stands for, beside the text. */
export function opener(entry) {
    const button = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link small', textContent: `Edit ${entry.insert}` });
    button.addEventListener('click', () => document.dispatchEvent(new CustomEvent('parrot:open', { detail: entry.opens })));
    return button;
}

function told(entry) {
    const box = document.createElement('div');
    box.className = 'hover-help';
    box.append(Object.assign(document.createElement('b'), { textContent: entry.insert }), ` ${entry.sentence}`);
    const rest = [['takes', entry.takes], ['gives', entry.gives], ['now', entry.now === '' ? 'nothing' : entry.now]].filter(([, text]) => text);
    for (const [label, text] of rest) {
        box.append(Object.assign(document.createElement('div'), { className: 'small', textContent: `${label}: ${text}` }));
    }
    if (entry.opens && document.getElementById('maker')) {
        box.append(opener(entry));
    }
    return { dom: box };
}

/** What the word under the pointer is, in a line. */
export function hoverHelp(entriesOf) {
    return hoverTooltip(async (view, position) => {
        const line = view.state.doc.lineAt(position);
        const here = position - line.from;
        const word = [...line.text.matchAll(/[\p{L}_][\p{L}\p{M}\p{N}_]*(?:\.[\p{L}\p{N}_]+)*/gu)].find((one) => one.index <= here && here <= one.index + one[0].length);
        const before = word ? view.state.sliceDoc(0, line.from + word.index) : '';
        if (!word || insideSlot(before) === null) {
            return null;
        }
        const entry = entryAt(await entriesOf(), before, word[0]);
        return entry ? { pos: line.from + word.index, end: line.from + word.index + word[0].length, create: () => told(entry) } : null;
    });
}
