import { StateEffect, StateField } from '@codemirror/state';
import { Decoration, EditorView } from '@codemirror/view';
import { layNotes } from './margin.js';

/** Sentences that stand in the margin beside one text; more are told below it. */
const SHOWN = 3;

const setUnreached = StateEffect.define();

/** Stretches of a text that no script comes to: they are gone with the next key, as they are of what is saved. */
export const unreached = StateField.define({
    create: () => Decoration.none,
    update(marks, transaction) {
        for (const effect of transaction.effects) {
            if (effect.is(setUnreached)) {
                return Decoration.set(
                    effect.value.filter(({ from, to }) => to > from).map(({ from, to, title }) => Decoration.mark({ class: 'is-unreached', attributes: { title } }).range(from, to)),
                    true,
                );
            }
        }
        return transaction.docChanged ? Decoration.none : marks;
    },
    provide: (field) => EditorView.decorations.from(field),
});

/** What the server says of the saved texts, by place; nothing until it has said something. */
function marks() {
    return JSON.parse(document.getElementById('coverage')?.dataset.marks ?? '{}');
}

function noteOf(spans) {
    const note = document.createElement('div');
    note.className = 'unreached';
    const title = Object.assign(document.createElement('p'), { textContent: 'No script reaches this:' });
    const list = document.createElement('ul');
    spans.slice(0, SHOWN).forEach(([, , sentence]) => list.append(Object.assign(document.createElement('li'), { textContent: sentence })));
    note.append(title, list);
    if (spans.length > SHOWN) {
        const more = Object.assign(document.createElement('a'), { href: '#coverage', className: 'small', textContent: `and ${spans.length - SHOWN} more` });
        note.append(more);
    }
    return note;
}

/**
 * Marks what no script comes to, in the texts that stand as they were saved, and beside them.
 *
 * @param {Iterable<[string, {view: EditorView, unit: Function, heightAt: Function}, string]>} editors each with its place on the page and in the command
 */
export function showCoverage(editors) {
    const margin = document.getElementById('unreached');
    if (!margin) {
        return;
    }
    const all = marks();
    const notes = [];
    for (const [place, editor, counted] of editors) {
        const mark = all[counted];
        const isSame = mark !== undefined && mark.text === editor.view.state.doc.toString();
        const spans = isSame ? mark.spans : [];
        editor.view.dispatch({ effects: setUnreached.of(spans.map(([from, to, title]) => ({ from: editor.unit(from), to: editor.unit(to), title }))) });
        if (spans.length > 0) {
            const note = noteOf(spans);
            note.dataset.about = `[data-editor="${place}"] + .cm-editor`;
            note.measure = () => editor.heightAt(spans[0][0]);
            notes.push(note);
        }
    }
    margin.replaceChildren(...notes);
    layNotes();
}
