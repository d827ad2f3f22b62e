import { completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { bracketMatching, HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { setDiagnostics } from '@codemirror/lint';
import { EditorState } from '@codemirror/state';
import { EditorView, keymap, placeholder } from '@codemirror/view';
import { closing } from './closing.js';
import { unreached } from './coverage.js';
import { responseLanguage, tags } from './response-language.js';

const nonce = document.querySelector('meta[name=style-nonce]').content;

const highlight = HighlightStyle.define([
    { tag: tags.bracket, class: 'tok-bracket' },
    { tag: tags.name, class: 'tok-name' },
    { tag: tags.word, class: 'tok-word' },
    { tag: tags.verb, class: 'tok-verb' },
    { tag: tags.text, class: 'tok-text' },
    { tag: tags.number, class: 'tok-number' },
    { tag: tags.sign, class: 'tok-sign' },
]);

/** Spans come in characters (code points); the editor counts in UTF-16 units. */
function unit(text, character) {
    let at = 0;
    for (let i = 0; i < character && at < text.length; i++) {
        at += text.codePointAt(at) > 0xffff ? 2 : 1;
    }
    return at;
}

/** Puts an editor in a textarea's place; the textarea keeps the text, so a form is sent as ever. */
export function editorFor(area, extensions = []) {
    const view = new EditorView({
        state: EditorState.create({
            doc: area.value,
            extensions: [
                history(),
                ...extensions,
                bracketMatching(),
                closing,
                unreached,
                StreamLanguage.define(responseLanguage),
                syntaxHighlighting(highlight),
                keymap.of([...completionKeymap, ...defaultKeymap.filter((one) => one.key !== 'Mod-Enter'), ...historyKeymap]),
                EditorView.lineWrapping,
                EditorView.cspNonce.of(nonce),
                EditorView.editorAttributes.of({ class: area.rows > 1 ? 'is-tall' : 'is-low' }),
                EditorState.readOnly.of(area.closest('fieldset')?.disabled ?? false),
                EditorView.contentAttributes.of({
                    'aria-label': area.getAttribute('aria-label') ?? document.getElementById(area.getAttribute('aria-labelledby'))?.textContent ?? 'Response',
                    spellcheck: 'true',
                    dir: 'auto',
                    autocapitalize: 'off',
                }),
                placeholder(area.placeholder || 'Ahoy [caller]!'),
                EditorView.updateListener.of((update) => {
                    if (update.docChanged) {
                        area.value = update.state.doc.toString();
                        area.dispatchEvent(new Event('input', { bubbles: true }));
                    }
                    if (update.focusChanged && update.view.hasFocus) {
                        area.dispatchEvent(new CustomEvent('parrot:focus', { bubbles: true }));
                    }
                }),
            ],
        }),
    });
    area.after(view.dom);
    area.hidden = true;
    return {
        view,
        set(text) {
            view.dispatch({ changes: { from: 0, to: view.state.doc.length, insert: text } });
        },
        /** Where a character stands in the editor's own count. */
        unit(character) {
            return Math.min(unit(view.state.doc.toString(), character), view.state.doc.length);
        },
        /** Where on the screen a character stands. */
        heightAt(character) {
            const box = view.coordsAtPos(Math.min(unit(view.state.doc.toString(), character), view.state.doc.length));
            return box ? (box.top + box.bottom) / 2 : null;
        },
        show(findings) {
            const text = view.state.doc.toString();
            const diagnostics = findings.map((one) => {
                const from = unit(text, Number(one.from));
                const to = unit(text, Number(one.to));
                const mend = one.replacement === null ? [] : [{ name: `put “${one.replacement}”`, apply: (target, a, b) => target.dispatch({ changes: { from: a, to: b, insert: one.replacement } }) }];
                return { from, to: Math.max(to, Math.min(from + 1, text.length)), severity: one.severity === 'note' ? 'info' : one.severity, message: `${one.sentence} ${one.mend}`.trim(), actions: mend };
            });
            view.dispatch(setDiagnostics(view.state, diagnostics));
        },
    };
}
