/**
 * What is typed is kept in this browser with every change, by person, channel and command: it survives a reload, a
 * crash and a lost session. It is offered when the page comes back, never forced.
 */
const LEFT_OUT = ['_token', '_method', 'focus', 'person', 'typed', 'revision', 'command'];

/** What stands in a form, also where it may only be read: a browser leaves out what cannot be changed. */
export function standingIn(form) {
    const closed = [...form.querySelectorAll('fieldset:disabled')];
    closed.forEach((one) => (one.disabled = false));
    const fields = new FormData(form);
    closed.forEach((one) => (one.disabled = true));
    return fields;
}

export const keyOf = (form) => `unsaved:${document.body.dataset.person}:${form.dataset.channel}:${form.dataset.command}`;

export const fieldsOf = (form) => [...new FormData(form)].filter(([name]) => !LEFT_OUT.includes(name));

export class Unsaved {
    constructor(form) {
        this.form = form;
        this.first = this.now();
        if ('saved' in form.dataset) {
            // The save that led here may have been of a command that had no number yet.
            localStorage.removeItem(keyOf(form));
            localStorage.removeItem(`${keyOf(form).slice(0, keyOf(form).lastIndexOf(':'))}:new`);
        }
    }

    now() {
        return JSON.stringify(fieldsOf(this.form));
    }

    /** What was on its way is saved; what was typed since is not. */
    savedAs(fields, key) {
        localStorage.removeItem(key);
        this.first = fields;
        delete this.form.dataset.unsaved;
        return !this.keep();
    }

    keep() {
        const fields = this.now();
        if (fields === this.first && !('unsaved' in this.form.dataset)) {
            localStorage.removeItem(keyOf(this.form));
            return false;
        }
        localStorage.setItem(keyOf(this.form), JSON.stringify({ at: Date.now(), fields: JSON.parse(fields) }));
        return true;
    }

    /** What was kept and differs from what the page shows; null for nothing. */
    kept() {
        try {
            const kept = JSON.parse(localStorage.getItem(keyOf(this.form)) ?? 'null');
            return kept && JSON.stringify(kept.fields) !== this.first ? kept : null;
        } catch {
            return null;
        }
    }

    forget() {
        localStorage.removeItem(keyOf(this.form));
    }
}

export function ago(at) {
    const minutes = Math.round((Date.now() - at) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    return minutes < 90 ? `${minutes} min ago` : minutes < 2880 ? `${Math.round(minutes / 60)} hours ago` : `${Math.round(minutes / 1440)} days ago`;
}
