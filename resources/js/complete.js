import { autocompletion } from '@codemirror/autocomplete';

/** What stands between the last open bracket and the caret; null where no slot is open. */
export function insideSlot(before) {
    const open = before.lastIndexOf('[');
    return open < 0 || before.indexOf(']', open) >= 0 || before[open - 1] === '[' ? null : before.slice(open + 1);
}

const KINDS = { Names: 'variable', Verbs: 'keyword', Filters: 'function', Phrases: 'keyword' };

function option(entry) {
    return {
        label: entry.insert,
        type: KINDS[entry.heading],
        detail: entry.now !== null ? `now: ${entry.now === '' ? 'nothing' : entry.now}` : entry.takes === '' ? entry.gives : entry.takes,
        info: `${entry.sentence} ${entry.withNothing === '' ? '' : `With nothing it ${entry.withNothing}. `}Example: ${entry.example}`,
        boost: entry.heading === 'Names' ? 1 : 0,
    };
}

/** From two letters on: the plain word for something that is called otherwise here, "user" for the caller. */
function meansBy(entry, typed) {
    const word = typed.toLowerCase();
    return word.length < 2 || entry.insert.startsWith(word) ? undefined : entry.also.find((one) => one.startsWith(word));
}

/** In the text around slots, the words of emotes that begin with what is typed, from two letters on: prose is no search. */
function emotes(context, entries) {
    const word = context.matchBefore(/[A-Za-z0-9_]{2,}/);
    if (!word) {
        return null;
    }
    const typed = word.text.toLowerCase();
    const options = entries.filter((one) => one.heading === 'Emotes' && one.insert.toLowerCase().startsWith(typed)).map((one) => ({ label: one.insert, detail: one.sentence, info: () => picture(one) }));
    return options.length === 0 ? null : { from: word.from, options, filter: false };
}

function picture(entry) {
    return entry.picture ? Object.assign(document.createElement('img'), { className: 'emote', src: entry.picture, alt: entry.insert }) : null;
}

/** Completes what can stand at the caret: filters behind a bar, names everywhere, verbs and phrases at the head of a slot. */
export function completion(entriesOf) {
    const source = async (context) => {
        const inside = insideSlot(context.state.sliceDoc(0, context.pos));
        const entries = await entriesOf();
        // Whoever has gone on meanwhile wants no list over what they look at now.
        if (context.view && !context.view.hasFocus) {
            return null;
        }
        if (inside === null) {
            return emotes(context, entries);
        }
        const word = context.matchBefore(/[\p{L}\p{N}_.]*/u);
        const isFilter = /\|\s*[\p{L}\p{N}_]*$/u.test(inside);
        const isHead = /^\s*[\p{L}\p{N}_.]*$/u.test(inside);
        if (!context.explicit && word.from === word.to && inside !== '' && !/[|(]\s*$/.test(inside)) {
            return null;
        }
        const fit = entries.filter((one) => (isFilter ? one.heading === 'Filters' : one.heading === 'Names' || (isHead && (one.heading === 'Verbs' || one.heading === 'Phrases'))) && /^[\p{L}_]/u.test(one.insert));
        const meant = fit.filter((one) => meansBy(one, word.text));
        return {
            from: word.from,
            options: [...fit.filter((one) => !meant.includes(one)).map(option), ...meant.map((one) => ({ ...option(one), label: meansBy(one, word.text), displayLabel: one.insert, apply: one.insert }))],
            // Another letter may be the beginning of another plain word.
            validFor: (text) => /^[\p{L}\p{N}_.]*$/u.test(text) && !fit.some((one) => meansBy(one, text)),
        };
    };
    // A list that is seen takes keys at once: whoever is quick means what is shown.
    return autocompletion({ override: [source], icons: false, maxRenderedOptions: 60, interactionDelay: 0 });
}
