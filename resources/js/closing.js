import { closeBrackets, closeBracketsKeymap } from '@codemirror/autocomplete';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap } from '@codemirror/view';

/** `[[` is a bracket that is said: whoever types the second wants no slot, and none of the brackets put in for it. */
const doubled = EditorView.inputHandler.of((view, from, to, text) => {
    if (text !== '[' || from !== to || view.state.readOnly || view.state.sliceDoc(from - 1, from + 1) !== '[]') {
        return false;
    }
    view.dispatch({ changes: { from, to: from + 1, insert: '[' }, selection: { anchor: from + 1 }, userEvent: 'input.type' });
    return true;
});

/** A slot that is opened is closed at once, so that it is not called unclosed while it is written. */
export const closing = [doubled, closeBrackets(), EditorState.languageData.of(() => [{ closeBrackets: { brackets: ['['], before: ' ,.!?;:)]' } }]), keymap.of(closeBracketsKeymap)];
