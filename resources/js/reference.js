import { insideSlot } from './complete.js';
import { opener } from './hover.js';

/** Everything that can be typed into a slot, asked for once a page. */
export function entriesFrom(url) {
    let asked = null;
    const entries = () => (asked ??= fetch(url, { headers: { Accept: 'application/json' } }).then((response) => (response.ok ? response.json() : [])).catch(() => []));
    // Something was made or changed: what there is is asked for again.
    entries.forget = () => (asked = null);
    return entries;
}

/** What a press puts at the caret: a name alone inside a slot, with brackets outside; of what needs more, the example's slot. */
function toInsert(entry, before) {
    const inside = insideSlot(before);
    if (entry.heading === 'Filters') {
        return inside === null ? entry.example : `${/\|\s*$/.test(inside) ? '' : ' | '}${entry.insert}`;
    }
    if (entry.heading === 'Emotes') {
        // Set apart by spaces, or the chat shows its letters.
        return `${before === '' || before.endsWith(' ') ? '' : ' '}${entry.insert} `;
    }
    return entry.heading === 'Names' ? (inside === null ? `[${entry.insert}]` : entry.insert) : entry.example;
}

/** The reference beside the text: searched while one types, put into the text by a press. */
export class Reference {
    constructor(panel, entriesOf, editor) {
        this.panel = panel;
        this.entriesOf = entriesOf;
        this.editor = editor;
        this.search = panel.querySelector('input');
        this.list = panel.querySelector('[data-reference-list]');
        this.search.addEventListener('input', () => this.show());
        this.list.addEventListener('click', (event) => {
            const button = event.target.closest('[data-insert]');
            if (button) {
                this.insert(this.shown[Number(button.dataset.insert)]);
            }
        });
        document.querySelectorAll('[data-open-reference]').forEach((button) => button.addEventListener('click', () => this.toggle(button)));
    }

    async toggle(button) {
        this.panel.hidden = !this.panel.hidden;
        button.setAttribute('aria-expanded', String(!this.panel.hidden));
        if (!this.panel.hidden) {
            this.entries = await this.entriesOf();
            this.show();
            this.search.focus();
        }
    }

    show() {
        const words = this.search.value.toLowerCase().split(/\s+/).filter(Boolean);
        const has = (entry) => words.every((word) => `${entry.insert} ${entry.sentence} ${entry.gives} ${entry.heading} ${entry.also.join(' ')}`.toLowerCase().includes(word));
        this.shown = (this.entries ?? []).filter(has);
        let heading = '';
        const rows = [];
        this.shown.forEach((entry, index) => {
            if (entry.heading !== heading) {
                heading = entry.heading;
                rows.push(Object.assign(document.createElement('h3'), { textContent: heading }));
            }
            rows.push(this.row(entry, index));
        });
        this.list.replaceChildren(...(rows.length > 0 ? rows : [Object.assign(document.createElement('p'), { className: 'small', textContent: 'Nothing of that kind.' })]));
    }

    row(entry, index) {
        const row = document.createElement('div');
        row.className = 'reference-entry';
        const button = Object.assign(document.createElement('button'), { type: 'button', className: 'slot as-slot', textContent: entry.insert });
        button.dataset.insert = index;
        button.setAttribute('aria-label', `put ${entry.insert} into the text`);
        const words = document.createElement('span');
        words.textContent = ` ${entry.sentence}`;
        if (entry.picture) {
            row.append(Object.assign(document.createElement('img'), { className: 'emote', src: entry.picture, alt: '' }));
        }
        row.append(button, words);
        for (const [label, text] of [['takes', entry.takes], ['now', entry.now === '' ? 'nothing' : entry.now], ['example', entry.heading === 'Names' || entry.heading === 'Emotes' ? '' : entry.example]]) {
            if (text) {
                const small = Object.assign(document.createElement('span'), { className: 'small', textContent: ` ${label}: ${text}` });
                row.append(small);
            }
        }
        if (entry.opens && document.getElementById('maker')) {
            row.append(' ', opener(entry));
        }
        return row;
    }

    insert(entry) {
        const view = this.editor();
        if (!view) {
            return;
        }
        const { from, to } = view.state.selection.main;
        const text = toInsert(entry, view.state.sliceDoc(0, from));
        view.dispatch({ changes: { from, to, insert: text }, selection: { anchor: from + text.length }, scrollIntoView: true });
        view.focus();
    }
}
