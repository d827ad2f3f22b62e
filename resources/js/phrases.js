import { post } from './session.js';
import { standingIn } from './unsaved.js';

/** Milliseconds without a key before phrases are tried anew. */
const TRIED_AFTER = 200;

/** Phrases of a command: each is tried in chats while it is typed, and keeps lines that it must find or must not. */
export class Phrases {
    constructor(form) {
        this.form = form;
        this.box = form.querySelector('[data-phrases]');
        this.box.addEventListener('input', () => this.later());
        this.box.addEventListener('toggle', () => this.later());
        this.box.addEventListener('keydown', (event) => {
            if (event.key === 'Enter' && event.target.matches('[data-new-line]')) {
                event.preventDefault();
                this.addLine(event.target.closest('[data-phrase]'));
            }
        });
        this.box.addEventListener('click', ({ target }) => this.clicked(target));
        this.later();
    }

    rows() {
        return [...this.box.querySelectorAll('[data-phrase-rows] [data-phrase]')];
    }

    textOf(row) {
        return row.querySelector('[name$="[text]"]');
    }

    /** The server counts those alone in which something stands. */
    filled() {
        return this.rows().filter((row) => this.textOf(row).value.trim() !== '');
    }

    later() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.try(), TRIED_AFTER);
    }

    async try() {
        const filled = this.filled();
        this.rows().filter((row) => !filled.includes(row)).forEach((row) => row.querySelector('[data-trial]').replaceChildren());
        if (!this.box.open || filled.length === 0) {
            return;
        }
        if (this.isTrying) {
            this.isWaiting = true;
            return;
        }
        this.isTrying = true;
        const fields = standingIn(this.form);
        fields.delete('_method');
        const answer = await post(this.box.dataset.trialOf, fields).catch(() => null);
        this.isTrying = false;
        if (answer?.busy || this.isWaiting) {
            this.isWaiting = false;
            this.later();
        } else if (answer) {
            this.show(answer.html, filled);
        }
    }

    show(html, filled) {
        const told = document.createElement('template');
        told.innerHTML = html;
        [...told.content.querySelectorAll('[data-of-phrase]')].forEach((one, at) => {
            const place = filled[at]?.querySelector('[data-trial]');
            const open = [...(place?.querySelectorAll('details') ?? [])].map((details) => details.open);
            place?.replaceChildren(...one.children);
            place?.querySelectorAll('details').forEach((details, number) => (details.open = open[number] ?? false));
        });
    }

    clicked(target) {
        const row = target.closest('[data-phrase]');
        if (target.matches('[data-add-phrase]')) {
            this.textOf(this.add({})).focus();
        } else if (target.matches('[data-remove-phrase]')) {
            row.remove();
            if (this.rows().length === 0) {
                this.add({});
            }
            this.tell();
        } else if (target.matches('[data-forget-line]')) {
            target.closest('li').remove();
            this.tell();
        } else if (target.matches('[data-keep-line]')) {
            this.keep(row, target.dataset.keepLine, target.closest('[data-line]').dataset.line);
            this.tell();
        } else if (target.matches('[data-add-line]')) {
            this.addLine(row);
        } else if (target.matches('[data-put-phrase]')) {
            this.textOf(row).value = target.dataset.putPhrase;
            this.tell();
        } else if (target.matches('[data-put-cooldown]')) {
            row.querySelector('[name$="[cooldown]"]').value = target.dataset.putCooldown;
            row.querySelector('.more').open = true;
            this.tell();
        }
    }

    add(one) {
        const used = this.rows().map((row) => Number(this.textOf(row).name.match(/\d+/)[0]));
        const index = Math.max(-1, ...used) + 1;
        const holder = document.createElement('div');
        holder.innerHTML = this.box.querySelector('[data-phrase-template]').innerHTML.replaceAll('[99]', `[${index}]`);
        const row = holder.firstElementChild;
        this.box.querySelector('[data-phrase-rows]').append(row);
        this.textOf(row).value = one.text ?? '';
        row.querySelector('[name$="[cooldown]"]').value = one.cooldown ?? '';
        row.querySelector('[name$="[tolerant]"]').checked = one.tolerant === '1';
        row.querySelector('[name$="[also]"]').checked = one.also === '1';
        row.querySelector('[name$="[off]"]').checked = one.off === '1';
        row.querySelector('[name$="[place]"]').value = one.place ?? '';
        row.querySelector('.more').open = [one.cooldown, one.tolerant, one.also, one.off, one.place].some(Boolean);
        (one.must ?? []).forEach((line) => this.keep(row, 'must', line));
        (one.must_not ?? []).forEach((line) => this.keep(row, 'must_not', line));
        return row;
    }

    addLine(row) {
        const field = row.querySelector('[data-new-line]');
        if (field.value.trim() !== '') {
            this.keep(row, 'must', field.value.trim());
            field.value = '';
            this.tell();
        }
    }

    /** A line is one that it must find or one that it must not, and once. */
    keep(row, kind, line) {
        const index = this.textOf(row).name.match(/\d+/)[0];
        row.querySelectorAll('[data-tried] input').forEach((input) => input.value === line && input.closest('li').remove());
        const item = document.createElement('li');
        const quoted = Object.assign(document.createElement('q'), { textContent: line, dir: 'auto' });
        const field = Object.assign(document.createElement('input'), { type: 'hidden', name: `phrases[${index}][${kind}][]`, value: line });
        const away = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link', textContent: 'take away' });
        away.dataset.forgetLine = '';
        item.append(kind === 'must' ? 'must: ' : 'must not: ', quoted, ' ', field, away);
        row.querySelector('[data-tried]').append(item);
    }

    /** What was not saved comes back as it was. */
    put(fields) {
        const rows = {};
        for (const [name, value] of fields) {
            const [, at, key, isList] = name.match(/^phrases\[(\d+)\]\[(\w+)\](\[\])?$/) ?? [];
            if (isList) {
                ((rows[at] ??= {})[key] ??= []).push(value);
            } else if (at !== undefined) {
                (rows[at] ??= {})[key] = value;
            }
        }
        this.rows().forEach((row) => row.remove());
        const all = Object.values(rows);
        (all.length > 0 ? all : [{}]).forEach((one) => this.add(one));
        this.box.open ||= all.some((one) => one.text !== '');
        this.later();
    }

    tell() {
        this.box.dispatchEvent(new Event('input', { bubbles: true }));
    }
}
