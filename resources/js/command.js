import htmx from 'htmx.org';
import { hearAgain } from './chat.js';
import { completion } from './complete.js';
import { Conditions } from './conditions.js';
import { showCoverage } from './coverage.js';
import { choiceMatching } from './choices.js';
import { editorFor } from './editor.js';
import { openMaker, saveOpenMaker } from './maker.js';
import { hoverHelp } from './hover.js';
import { layNotes } from './margin.js';
import { entriesFrom, Reference } from './reference.js';
import { Phrases } from './phrases.js';
import { post } from './session.js';
import { ago, keyOf, standingIn, Unsaved } from './unsaved.js';

/** A short pause, so that a burst of keys is one question; the answer to an older question is dropped. */
const PAUSE = 50;

/** Milliseconds without a key before tried lines are heard anew. */
const HEARD_AFTER = 250;

/** What the page says that a new command leads to. */
const NOTICE = 'notice';

/** Before asking again where another page of the same person is being answered. */
const BUSY_PAUSE = 200;

/** Where more is done than saying a text, its findings go by the step that says it. */
function saidIn(findings, place) {
    const [, response] = place.match(/^(responses\/\d+)\/text$/) ?? [];
    const step = Object.keys(findings).find((one) => response && new RegExp(`^${response}/steps/\\d+/say$`).test(one));
    return findings[step];
}

class CommandPage {
    constructor(form) {
        this.form = form;
        this.mayWrite = form.querySelector('fieldset:disabled:not([data-condition])') === null;
        this.editors = new Map();
        this.isAsking = false;
        this.isWaiting = false;
        this.unsaved = new Unsaved(form);
        this.conditions = new Conditions(form);
        this.phrases = new Phrases(form);
        const entriesOf = entriesFrom(form.dataset.reference);
        this.entriesOf = entriesOf;
        this.help = [completion(entriesOf), hoverHelp(entriesOf), choiceMatching];
        form.querySelectorAll('[data-editor]').forEach((area) => this.edit(area));
        form.addEventListener('input', (event) => this.changed(event));
        // Some ways of choosing tell of the change only, not of the input.
        form.addEventListener('change', (event) => event.target.matches('select') && this.changed(event));
        form.addEventListener('parrot:focus', (event) => this.focusOn(event.target));
        form.addEventListener('click', (event) => this.clicked(event));
        form.addEventListener('submit', (event) => this.save(event));
        document.addEventListener('click', (event) => {
            const thrown = event.target.closest('[data-throw-away]');
            if (thrown) {
                this.unsaved.forget();
                document.getElementById('offer').hidden = true;
            }
            if (thrown?.matches('a')) {
                this.unsaved.discard();
            }
            if (event.target.closest('[data-take-up]')) {
                this.takeUp();
            }
            if (event.target.closest('[data-stop-scripts]')) {
                this.stopScripts();
            }
        });
        document.body.addEventListener('htmx:afterSwap', () => this.showCoverage());
        // Readers look at what there is, and change nothing.
        document.addEventListener('parrot:open', ({ detail }) => this.make(detail));
        this.grow();
        this.weights();
        this.offer();
        this.begin();
        form.querySelector('[aria-invalid]')?.focus();
        if (sessionStorage.getItem(NOTICE) !== null) {
            this.tell(sessionStorage.getItem(NOTICE));
            sessionStorage.removeItem(NOTICE);
        }
        this.ask();
        if (this.unsaved.now() !== this.unsaved.first) {
            this.changed({ target: form });
        }
        const panel = document.getElementById('reference');
        if (panel) {
            this.reference = new Reference(panel, entriesOf, () => (this.editors.get(this.lastEditor) ?? [...this.editors.values()][0])?.view);
        }
    }

    /**
     * In place, so that what is typed meanwhile stays and goes on. What cannot be saved is sent off as any form is, and
     * the page that answers says why.
     */
    async save(event) {
        event.preventDefault();
        if (!this.mayWrite) {
            return;
        }
        this.unsaved.keep();
        if (this.isSaving) {
            this.isSaveWaiting = true;
            return;
        }
        this.isSaving = true;
        await saveOpenMaker();
        const sent = this.unsaved.now();
        const filled = this.filled();
        let answer = null;
        try {
            const response = await fetch(this.form.action, { method: 'POST', body: new FormData(this.form), headers: { Accept: 'application/json' } });
            answer = response.ok ? await response.json() : null;
        } catch {
            this.isSaving = false;
            document.getElementById('save-state').textContent = 'No answer from Silver Parrot; what you type is kept on this machine.';
            return;
        }
        this.isSaving = false;
        if (answer === null) {
            this.form.submit();
            return;
        }
        this.saved(answer, this.withIds(sent, filled, answer.responses));
        if (this.isSaveWaiting) {
            this.isSaveWaiting = false;
            this.form.requestSubmit();
        }
    }

    /** A response that was new has an id now, by which the next save knows it again. */
    withIds(sent, filled, ids) {
        const known = {};
        filled.forEach((area, index) => {
            const field = area.closest('[data-response]')?.querySelector('[name$="[id]"]');
            if (field && ids[index] !== undefined) {
                field.value = ids[index];
                known[field.name] = ids[index];
            }
        });
        return JSON.stringify(JSON.parse(sent).map(([name, value]) => [name, known[name] ?? value]));
    }

    saved(answer, sent) {
        const isNew = this.form.dataset.command === 'new';
        const isWhole = this.unsaved.savedAs(sent, keyOf(this.form));
        if (isNew && isWhole) {
            sessionStorage.setItem(NOTICE, answer.notice);
            location.assign(answer.url);
            return;
        }
        this.form.dataset.command = answer.number;
        this.form.elements.command.value = answer.number;
        this.form.elements.revision.value = answer.revision;
        this.form.action = answer.action;
        document.querySelector('#publish-this-form [name="changes[]"]').value = answer.id;
        if (!this.form.elements._method) {
            this.form.prepend(Object.assign(document.createElement('input'), { type: 'hidden', name: '_method', value: 'put' }));
        }
        this.unsaved.keep();
        history.replaceState(null, '', answer.url);
        document.title = answer.title;
        document.getElementById('save-state').textContent = isWhole ? 'Saved.' : 'Not saved; kept on this machine.';
        // Lines that stand empty until there is something to say stay where they are.
        document.querySelectorAll('.conflict, .samples, #command .problem:not([data-taken], [data-named-problem])').forEach((one) => one.remove());
        document.querySelectorAll('#command [aria-invalid]').forEach((one) => one.removeAttribute('aria-invalid'));
        this.tell(answer.notice);
        document.body.dispatchEvent(new Event('parrot:saved'));
        const expectations = document.getElementById('expectations');
        if (expectations) {
            expectations.outerHTML = answer.expectations;
            htmx.process(document.getElementById('expectations'));
        }
    }

    /** They go on when the command is saved again, or on their own page. */
    stopScripts() {
        const running = document.getElementById('coverage');
        const stopped = running.cloneNode(true);
        stopped.setAttribute('hx-trigger', 'parrot:saved from:body');
        stopped.querySelector('[role="status"]').textContent = 'Stopped.';
        running.replaceWith(stopped);
        htmx.process(stopped);
    }

    tell(notice) {
        document.getElementById('notice').replaceChildren(Object.assign(document.createElement('p'), { className: 'notice', textContent: notice }));
    }

    edit(area) {
        this.editors.set(area.dataset.editor, editorFor(area, this.help));
    }

    changed(event) {
        this.isShown = true;
        const keptIt = this.unsaved.keep();
        const state = document.getElementById('save-state');
        if (state) {
            state.textContent = keptIt ? 'Not saved; kept on this machine.' : 'Saved.';
        }
        this.showFor(event.target);
        this.grow();
        this.weights();
        this.typedAt = performance.now();
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.ask(), PAUSE);
    }

    focusOn(area) {
        this.lastEditor = area.dataset.editor;
        if (area.dataset.focus !== undefined && this.focused !== area) {
            this.focused = area;
            this.ask();
        }
    }

    /** The responses that have text, in their order: the server leaves empty ones out and counts the rest from 0. */
    filled() {
        const does = (area) => [...area.closest('[data-response]').querySelectorAll('[name$="[run]"], [name$="[do]"]')].some((field) => field.value.trim() !== '');
        return [...this.form.querySelectorAll('[data-response] textarea')].filter((area) => area.value.trim() !== '' || does(area));
    }

    /** One question at a time: what was typed meanwhile is asked about as soon as the answer is there. */
    async ask() {
        if (this.isAsking) {
            this.isWaiting = true;
            return;
        }
        this.isAsking = true;
        const typedAt = this.typedAt;
        const filled = this.filled();
        const fields = standingIn(this.form);
        fields.delete('_method');
        fields.set('focus', String(Math.max(0, filled.indexOf(this.focused))));
        let answer = null;
        try {
            answer = await post(this.form.dataset.preview, fields);
        } catch {
            document.getElementById('save-state')?.replaceChildren('No answer from Silver Parrot; what you type is kept on this machine.');
        }
        if (answer?.busy) {
            this.isWaiting = true;
            await new Promise((resolve) => setTimeout(resolve, BUSY_PAUSE));
        }
        this.isAsking = false;
        if (answer && !answer.busy && !this.isWaiting) {
            this.show(answer, filled);
            if (typedAt !== undefined) {
                document.getElementById('preview').dataset.took = String(Math.round(performance.now() - typedAt));
            }
        }
        if (this.isWaiting) {
            this.isWaiting = false;
            this.ask();
        }
    }

    show(answer, filled) {
        document.getElementById('preview').innerHTML = answer.html;
        document.getElementById('sentence').textContent = answer.sentence;
        const notes = [];
        for (const [place, editor] of this.editors) {
            const counted = this.placeOf(place, filled);
            const found = answer.findings[counted] ?? saidIn(answer.findings, counted) ?? [];
            const findings = [...found].sort((a, b) => Number(a.from) - Number(b.from));
            editor.show(findings);
            const own = findings.map((one) => this.note(one, place));
            this.offerAll(own, findings, place);
            notes.push(...own);
        }
        notes.unshift(...this.triggerNotes(answer.findings), ...this.stepNotes(answer.findings, filled));
        this.tellTaken(answer.taken);
        this.offerAliases(answer.offers);
        this.tellErrors(answer.errors, filled);
        document.getElementById('findings').replaceChildren(...notes);
        // On a narrow screen they stand below the text, out of sight while it is written.
        const jump = document.querySelector('.to-findings');
        if (jump) {
            jump.hidden = notes.length === 0;
            jump.textContent = notes.length === 1 ? '1 finding' : `${notes.length} findings`;
        }
        this.showCoverage();
        layNotes();
        this.hearAnew();
    }

    /** The place of an editor as the command calls it. */
    placeOf(place, filled) {
        const area = this.form.querySelector(`[data-editor="${place}"]`);
        return area?.dataset.focus === undefined ? place : `responses/${filled.indexOf(area)}/text`;
    }

    showCoverage() {
        const filled = this.filled();
        showCoverage([...this.editors].map(([place, editor]) => [place, editor, this.placeOf(place, filled)]));
    }

    /** What was tried, and what is expected, follows the text: once nothing more is typed for a moment. */
    hearAnew() {
        clearTimeout(this.hearing);
        if (this.isShown && document.querySelector('#lines .line, #expectations .holding')) {
            this.hearing = setTimeout(() => hearAgain(), HEARD_AFTER);
        }
        this.isShown = true;
    }

    /** What a response names is made or changed beside it. */
    make(url) {
        openMaker(url, () => {
            this.entriesOf.forget();
            this.ask();
        });
    }

    /** What is said of triggers stands beside their fields. */
    triggerNotes(findings) {
        const notes = [];
        for (const [place, found] of Object.entries(findings)) {
            const [name, at] = place.split('/');
            if (['trigger', 'aliases', 'phrases'].includes(name)) {
                const row = name === 'phrases' ? this.phrases.filled()[at] : null;
                const field = row ? this.phrases.textOf(row) : this.form.elements[name];
                const place = name === 'aliases' ? Number(at) : null;
                notes.push(...(field ? found.map((one) => this.triggerNote(one, field, place)) : []));
            }
        }
        return notes;
    }

    /** What is said of a text that a step goes by stands beside its field. */
    stepNotes(findings, filled) {
        const notes = [];
        for (const [place, found] of Object.entries(findings)) {
            const [, at, input] = place.match(/^responses\/(\d+)\/steps\/\d+\/(?:with\/)?(\w+)$/) ?? [];
            const response = filled[at]?.closest('[data-response]');
            const deed = response?.querySelector('[name$="[do]"]')?.value;
            const field = input === 'words' ? response?.querySelector('[name$="[words]"]') : response?.querySelector(`[name$="[${deed}/${input}]"]`);
            for (const one of field ? found : []) {
                const note = this.noteOf(one, false);
                note.dataset.about = `#command [name="${field.name}"]`;
                notes.push(note);
            }
        }
        return notes;
    }

    /** Of aliases, one alone is at a place; every other field is what it is about. */
    triggerNote(finding, field, place) {
        const note = this.noteOf(finding, finding.replacement !== null, () => {
            const aliases = place === null ? [] : aliasesIn(field.value);
            aliases[place ?? 0] = finding.replacement;
            field.value = aliases.join(', ');
            field.dispatchEvent(new Event('input', { bubbles: true }));
            field.focus();
        });
        note.dataset.about = `#command [name="${field.name}"]`;
        return note;
    }

    /** What people will type as well is one press away. */
    offerAliases(offers) {
        const line = this.form.querySelector('[data-alias-offers]');
        line.hidden = !this.mayWrite || offers.length === 0;
        // Whoever goes by keyboard types an alias as quickly, and would have to pass them each time.
        line.replaceChildren('Answer to ');
        offers.forEach((offer, at) => {
            const press = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link', textContent: offer, tabIndex: -1 });
            press.addEventListener('click', () => {
                const field = this.form.elements.aliases;
                field.value = [field.value.trim().replace(/,$/, ''), offer].filter((one) => one !== '').join(', ');
                field.dispatchEvent(new Event('input', { bubbles: true }));
            });
            line.append(...(at === 0 ? [press] : [at === offers.length - 1 ? ' or ' : ', ', press]));
        });
        line.append(' too?');
    }

    /** Which command has a trigger already is told while it is typed. */
    tellTaken(taken) {
        const line = this.form.querySelector('[data-taken]');
        line.hidden = !taken;
        line.replaceChildren();
        if (taken) {
            const link = Object.assign(document.createElement('a'), { href: taken.url, textContent: taken.by });
            line.append(`${taken.trigger} is used already, by `, link, '. Choose another trigger.');
        }
    }

    /** A weight that is none is told beside it, also before anybody saves. */
    tellErrors(errors, filled) {
        this.form.querySelectorAll('[data-response] .problem').forEach((one) => one.remove());
        filled.forEach((area, index) => {
            const response = area.closest('[data-response]');
            const told = errors[`responses.${index}`] ?? [];
            response.querySelector('[type=number]').toggleAttribute('aria-invalid', told.length > 0);
            response.append(...told.map((text) => Object.assign(document.createElement('p'), { className: 'problem', textContent: text })));
        });
    }

    note(finding, place) {
        const note = this.noteOf(finding, finding.replacement !== null, () => this.mend(place, finding));
        note.dataset.about = `[data-editor="${place}"] + .cm-editor`;
        note.measure = () => this.editors.get(place)?.heightAt(Number(finding.from));
        return note;
    }

    noteOf(finding, canBeMended, mend) {
        const note = document.createElement('div');
        note.className = `finding is-${finding.severity}`;
        const sentence = document.createElement('p');
        sentence.textContent = finding.sentence;
        note.append(sentence);
        if (finding.mend) {
            const isPressed = canBeMended && this.mayWrite;
            const line = document.createElement(isPressed ? 'button' : 'p');
            line.className = isPressed ? 'as-link small' : 'small';
            line.textContent = finding.mend;
            if (isPressed) {
                line.type = 'button';
                line.addEventListener('click', mend);
            }
            note.append(line);
        }
        if (finding.leads && this.mayWrite) {
            note.append(Object.assign(document.createElement('a'), { href: finding.leads, className: 'small', textContent: 'Make it' }));
        }
        if (finding.makes && this.mayWrite) {
            const make = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link small', textContent: 'Make it' });
            make.addEventListener('click', () => this.make(finding.makes));
            note.append(make);
        }
        return note;
    }

    /** Several mends of one text are one press as well, offered with the last of them. */
    offerAll(notes, findings, place) {
        const mendable = findings.filter((one) => one.replacement !== null);
        if (mendable.length < 2 || !this.mayWrite) {
            return;
        }
        const all = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link small', textContent: `Fix all ${mendable.length}` });
        all.addEventListener('click', () => this.mendAll(place, mendable));
        const line = document.createElement('p');
        line.append(all);
        notes[findings.lastIndexOf(mendable[mendable.length - 1])].append(line);
    }

    /** From the end, so that the places of the others stay right; what lies on another is left for the next look. */
    mendAll(place, findings) {
        const editor = this.editors.get(place);
        const characters = [...editor.view.state.doc.toString()];
        let until = characters.length + 1;
        for (const one of [...findings].reverse()) {
            if (Number(one.to) <= until) {
                characters.splice(Number(one.from), Number(one.to) - Number(one.from), one.replacement);
                until = Number(one.from);
            }
        }
        editor.set(characters.join(''));
        editor.view.focus();
    }

    mend(place, finding) {
        const editor = this.editors.get(place);
        const characters = [...editor.view.state.doc.toString()];
        characters.splice(Number(finding.from), Number(finding.to) - Number(finding.from), finding.replacement);
        editor.set(characters.join(''));
        editor.view.focus();
    }

    clicked(event) {
        if (event.target.closest('[data-add-response]')) {
            this.addResponse({}).view.focus();
        }
        const remove = event.target.closest('[data-remove-response]');
        if (remove) {
            const response = remove.closest('[data-response]');
            this.editors.delete(response.querySelector('[data-editor]').dataset.editor);
            response.remove();
            this.form.dispatchEvent(new Event('input'));
        }
    }

    addResponse(one) {
        const template = this.form.querySelector('[data-response-template]');
        const used = [...this.form.querySelectorAll('[data-response] [data-focus]')].map((area) => Number(area.dataset.focus));
        const index = Math.max(-1, ...used) + 1;
        const holder = document.createElement('div');
        holder.innerHTML = template.innerHTML.replaceAll('99', String(index)).replace(/Response \d+/, `Response ${index + 1}`);
        const response = holder.firstElementChild;
        this.form.querySelector('[data-responses]').append(response);
        response.querySelector('[type=number]').value = one.weight ?? '1';
        response.querySelector('[name$="[id]"]').value = one.id ?? '';
        if (one.steps) {
            const steps = Object.assign(document.createElement('input'), { type: 'hidden', name: `responses[${index}][steps]`, value: one.steps });
            response.append(steps);
        }
        this.putConditions(response, index, one);
        const area = response.querySelector('textarea');
        area.value = one.text ?? '';
        this.edit(area);
        this.weights();
        return this.editors.get(area.dataset.editor);
    }

    putConditions(response, index, one) {
        response.querySelector('[name$="[level]"]').value = one.level ?? '';
        response.querySelector('[name$="[category]"]').value = one.category ?? '';
        response.querySelector('[name$="[off]"]').checked = one.off === '1';
        if (one.conditions) {
            response.append(Object.assign(document.createElement('input'), { type: 'hidden', name: `responses[${index}][conditions]`, value: one.conditions }));
        }
        response.querySelector('[name$="[run]"]').value = one.run ?? '';
        response.querySelector('[name$="[words]"]').value = one.words ?? '';
        const deed = response.querySelector('[name$="[do]"]');
        deed.value = one.do ?? '';
        this.showFor(deed);
        response.querySelectorAll('[name*="[with]"]').forEach((field) => (field.value = one[`with:${field.name.slice(field.name.lastIndexOf('[') + 1, -1)}`] ?? ''));
        const isShown = [one.level || one.category || one.off || one.conditions, one.do, one.run || one.words];
        response.querySelectorAll('.only').forEach((line, at) => {
            line.querySelector('.some').hidden = !isShown[at];
            line.querySelector('[data-reveals]').hidden = Boolean(isShown[at]);
        });
    }

    weights() {
        const all = [...this.form.querySelectorAll('[data-response] .weight')];
        const sum = all.reduce((total, one) => total + (Number(one.querySelector('input').value) || 0), 0);
        this.form.querySelector('[data-responses]').classList.toggle('is-several', all.length > 1);
        this.form.querySelector('[data-order]').hidden = all.length < 2;
        this.form.querySelectorAll('.only:has([name$="[level]"])').forEach((one) => (one.hidden = all.length < 2 && one.querySelector('.some').hidden));
        all.forEach((one) => {
            one.hidden = all.length < 2;
            const weight = Number(one.querySelector('input').value) || 0;
            one.querySelector('[data-share]').textContent = sum > 0 ? `(${Math.round((weight * 100) / sum)} %)` : '';
        });
    }

    grow() {
        this.form.querySelectorAll('[data-grow]').forEach((input) => (input.size = Math.max(6, [...input.value].length)));
    }

    /** A new command begins behind the mark of its trigger. */
    begin() {
        const trigger = this.form.elements.trigger;
        if (this.form.dataset.command === 'new' && !trigger.disabled) {
            trigger.focus();
            trigger.setSelectionRange(trigger.value.length, trigger.value.length);
        }
    }

    offer() {
        const kept = this.unsaved.kept();
        if (kept) {
            document.querySelector('[data-offer-when]').textContent = ago(kept.at);
            document.getElementById('offer').hidden = false;
        }
    }

    takeUp() {
        const kept = this.unsaved.kept();
        const responses = {};
        this.form.querySelectorAll('input[type=checkbox]').forEach((box) => (box.checked = false));
        this.form.querySelectorAll('[data-condition]').forEach((one) => this.conditions.drop(one));
        for (const [name, value] of kept?.fields ?? []) {
            const response = name.match(/^responses\[(\d+)\]\[(text|weight|id|steps|level|category|off|conditions|run|words|do|with)\](?:\[([^\]]+)\])?$/);
            if (response) {
                (responses[response[1]] ??= {})[[response[2], response[3]].filter(Boolean).join(':')] = value;
            } else if (!name.startsWith('phrases[')) {
                this.put(name, value);
            }
        }
        this.putResponses(Object.values(responses));
        this.phrases.put(kept?.fields ?? []);
        this.unsaved.forget();
        document.getElementById('offer').hidden = true;
        this.form.dispatchEvent(new Event('input'));
    }

    put(name, value) {
        const fields = [...this.form.querySelectorAll(`[name="${CSS.escape(name)}"]`)];
        const box = fields.find((one) => one.type === 'checkbox' && one.value === value);
        const editor = this.editors.get(fields[0]?.dataset.editor);
        if (box) {
            box.checked = true;
        } else if (editor) {
            editor.set(value);
        } else if (fields[0]) {
            fields[0].value = value;
        }
        if (fields[0]) {
            this.showFor(fields[0]);
            this.conditions.showWhereIn(fields[0], value);
        }
    }

    /** What belongs to one choice alone is shown with it. */
    showFor(field) {
        if (field.matches('[data-shows]')) {
            field.parentElement.querySelectorAll('[data-shown-for]').forEach((one) => {
                one.hidden = !one.dataset.shownFor.split(' ').includes(field.value);
                // Of a hundred replies, what each could do besides would be more fields than a form may have.
                one.querySelectorAll('[name*="[with]"]').forEach((input) => (input.disabled = one.hidden));
            });
        }
    }

    putResponses(responses) {
        this.form.querySelectorAll('[data-response]').forEach((one) => {
            this.editors.delete(one.querySelector('[data-editor]').dataset.editor);
            one.remove();
        });
        responses.forEach((one) => this.addResponse(one));
    }
}

export function startCommand() {
    const form = document.getElementById('command');
    if (form) {
        new CommandPage(form);
    }
}

/** As the server reads them: with commas between, or with spaces where each begins with a mark. */
function aliasesIn(typed) {
    const all = typed.replace(/\s+/g, ' ').split(/,| (?=[\p{P}\p{S}])/u);
    return all.map((one) => one.trim()).filter((one) => one !== '');
}
