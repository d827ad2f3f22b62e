/** What else must hold: shown once it is asked for, and sent only then. */
export class Conditions {
    constructor(form) {
        this.form = form;
        this.adding = form.querySelector('[data-add-condition]');
        this.adding?.addEventListener('change', () => this.added());
        form.addEventListener('click', ({ target }) => this.clicked(target));
    }

    added() {
        const condition = this.form.querySelector(`[data-condition="${CSS.escape(this.adding.value)}"]`);
        this.adding.value = '';
        if (condition) {
            this.show(condition);
            condition.querySelector('input:not([type=checkbox]), select')?.focus();
        }
    }

    clicked(target) {
        if (target.matches('[data-drop-condition]')) {
            this.drop(target.closest('[data-condition]'));
            this.adding.focus();
            this.tell();
        } else if (target.matches('[data-reveals]')) {
            reveal(target);
            target.nextElementSibling.querySelector('input, select')?.focus();
        } else if (target.matches('[data-fill]')) {
            this.form.elements[target.dataset.fill].value = target.dataset.fillWith;
            this.tell();
        }
    }

    show(condition) {
        condition.hidden = condition.disabled = false;
        this.follow(condition);
    }

    drop(condition) {
        condition.hidden = condition.disabled = true;
        this.follow(condition);
    }

    /** A field that got a value is of no use where nobody sees it. */
    showWhereIn(field, value) {
        const condition = field.closest('[data-condition]');
        if (condition) {
            this.show(condition);
        }
        const button = field.closest('.some')?.previousElementSibling;
        if (value !== '' && button?.matches('[data-reveals]')) {
            reveal(button);
        }
    }

    /** The reply for it, and the list of what can be added. */
    follow(condition) {
        const key = condition.dataset.condition;
        const reply = this.form.querySelector(`[data-reply-of="${CSS.escape(key)}"]`);
        if (reply) {
            reply.hidden = condition.hidden && (reply.querySelector('textarea')?.value ?? '') === '';
        }
        this.adding.querySelector(`[value="${CSS.escape(key)}"]`).disabled = !condition.hidden;
    }

    tell() {
        this.form.dispatchEvent(new Event('input', { bubbles: true }));
    }
}

function reveal(button) {
    button.hidden = true;
    button.nextElementSibling.hidden = false;
}
