import { Tag } from '@lezer/highlight';

export const tags = { bracket: Tag.define(), name: Tag.define(), word: Tag.define(), verb: Tag.define(), text: Tag.define(), number: Tag.define(), sign: Tag.define() };

const VERBS = /^(add|take|set|clear)$/i;

const WORDS = /^(when|else|end|or|and|not|is|one|of|contains|starts|ends|with|to|by|from|for|as|yes|no|nothing|roll|either|word|words|since|until|top)$/i;

/** Colours only: what a response means is decided by the server, in one place. */
export const responseLanguage = {
    name: 'response',
    startState: () => ({ inside: false }),
    token(stream, state) {
        if (!state.inside) {
            if (stream.match('[[')) {
                return null;
            }
            if (stream.eat('[')) {
                state.inside = true;
                return 'bracket';
            }
            stream.eatWhile((character) => character !== '[');
            return null;
        }
        if (stream.eat(']')) {
            state.inside = false;
            return 'bracket';
        }
        if (stream.eatSpace()) {
            return 'name';
        }
        if (stream.match(/^"(?:[^"\n]|"")*"?/) || stream.match(/^[“”„][^“”\n]*[“”]?/)) {
            return 'text';
        }
        if (stream.match(/^\d+(?:\.\d+)?/)) {
            return 'number';
        }
        const name = stream.match(/^[\p{L}_][\p{L}\p{M}\p{N}_]*(?:\.[\p{L}\p{N}_][\p{L}\p{M}\p{N}_]*)*/u);
        if (name) {
            return VERBS.test(name[0]) ? 'verb' : WORDS.test(name[0]) ? 'word' : 'name';
        }
        stream.next();
        return 'sign';
    },
    tokenTable: tags,
};
