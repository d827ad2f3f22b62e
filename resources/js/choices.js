import { Decoration, ViewPlugin } from '@codemirror/view';

/** Where slots stand: [from, to, what stands inside]. A doubled bracket is text, and a quote mark hides what is in it. */
export function slotsOf(text) {
    const slots = [];
    for (let at = text.indexOf('['); at >= 0; at = text.indexOf('[', at)) {
        if (text[at + 1] === '[') {
            at += 2;
            continue;
        }
        let to = at + 1;
        let quote = '';
        while (to < text.length && (quote !== '' || text[to] !== ']')) {
            if (quote === '' && '"“„”'.includes(text[to])) {
                quote = text[to] === '"' ? '"' : '“”';
            } else if (quote !== '' && (quote.includes(text[to]) || text[to] === '\n')) {
                quote = '';
            }
            to++;
        }
        slots.push([at, Math.min(to + 1, text.length), text.slice(at + 1, to).trim()]);
        at = to;
    }
    return slots;
}

/** The slots of the choice that the caret is in one of: its [when …], each [else], its [end]. Empty where it is in none. */
export function choiceAt(text, caret) {
    const open = [];
    const groups = [];
    for (const [from, to, inside] of slotsOf(text)) {
        if (/^when(?![\p{L}\p{N}_.])/iu.test(inside)) {
            open.push([[from, to]]);
        } else if (/^else(?![\p{L}\p{N}_.])/iu.test(inside) && open.length > 0) {
            open[open.length - 1].push([from, to]);
        } else if (/^end$/iu.test(inside) && open.length > 0) {
            groups.push([...open.pop(), [from, to]]);
        }
    }
    return [...groups, ...open].find((group) => group.some(([from, to]) => caret >= from && caret <= to)) ?? [];
}

const mark = Decoration.mark({ class: 'is-choice' });

/** Shows what belongs together, as brackets do. */
export const choiceMatching = ViewPlugin.fromClass(class {
    constructor(view) {
        this.decorations = this.marks(view);
    }

    update(update) {
        if (update.docChanged || update.selectionSet || update.focusChanged) {
            this.decorations = this.marks(update.view);
        }
    }

    marks(view) {
        const group = view.hasFocus ? choiceAt(view.state.doc.toString(), view.state.selection.main.head) : [];
        return Decoration.set(group.map(([from, to]) => mark.range(from, to)));
    }
}, { decorations: (plugin) => plugin.decorations });
