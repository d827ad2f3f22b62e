/**
 * What is typed is kept in this browser with every change, by person, channel and command: it survives a reload, a
 * crash and a lost session. It is offered when the page comes back, never forced.
 */
const LEFT_OUT = ['_token', '_method', 'focus', 'person', 'typed', 'all', 'revision', 'command'];

/**
 * What stands in a form, also where it may only be read: a browser leaves out what cannot be changed. What is not asked
 * for does not stand in it.
 */
export function standingIn(form) {
    const closed = [...form.querySelectorAll('fieldset:disabled:not([hidden])')];
    closed.forEach((one) => (one.disabled = false));
    const fields = new FormData(form);
    closed.forEach((one) => (one.disabled = true));
    return fields;
}

export const keyOf = (form) => `unsaved:${document.body.dataset.person}:${form.dataset.channel}:${form.dataset.command}`;

const asideOf = (form) => `${keyOf(form)}:aside`;

function read(key) {
    try {
        return JSON.parse(localStorage.getItem(key) ?? 'null');
    } catch {
        return null;
    }
}

export const fieldsOf = (form) => [...new FormData(form)].filter(([name]) => !LEFT_OUT.includes(name));

export class Unsaved {
    constructor(form) {
        this.form = form;
        this.first = this.asSent();
        if ('saved' in form.dataset) {
            // The save that led here may have been of a command that had no number yet.
            localStorage.removeItem(keyOf(form));
            localStorage.removeItem(`${keyOf(form).slice(0, keyOf(form).lastIndexOf(':'))}:new`);
        }
        this.putAside();
    }

    /** What an earlier page left unsaved waits beside what is typed from now on, until it is restored or discarded. */
    putAside() {
        const kept = read(keyOf(this.form));
        if (kept && JSON.stringify(kept.fields) !== this.first) {
            localStorage.setItem(asideOf(this.form), JSON.stringify(kept));
            localStorage.removeItem(keyOf(this.form));
        }
    }

    /** As the page came: whoever was quicker than the scripts has changed something since. */
    asSent() {
        const typed = [...this.form.querySelectorAll('input, select, textarea')].map((one) => [one, one.value, one.checked]);
        this.form.reset();
        const first = this.now();
        typed.forEach(([one, value, checked]) => {
            one.value = value;
            if (checked !== undefined) {
                one.checked = checked;
            }
        });
        return first;
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

    /** What was left unsaved and differs from what the page shows; null for nothing. */
    kept() {
        const kept = read(asideOf(this.form));
        return kept && JSON.stringify(kept.fields) !== this.first ? kept : null;
    }

    /** What is typed now is wanted no more: somebody else's text is taken instead. */
    discard() {
        localStorage.removeItem(keyOf(this.form));
    }

    /** It was restored, or is wanted no more. */
    forget() {
        localStorage.removeItem(asideOf(this.form));
    }
}

export function ago(at) {
    const minutes = Math.round((Date.now() - at) / 60000);
    if (minutes < 1) {
        return 'just now';
    }
    return minutes < 90 ? `${minutes} min ago` : minutes < 2880 ? `${Math.round(minutes / 60)} hours ago` : `${Math.round(minutes / 1440)} days ago`;
}
