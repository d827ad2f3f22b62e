/** Milliseconds without a key before paths are tried. */
const TRIED_AFTER = 250;

const KINDS = { number: 'number', yes_no: 'yes_no' };

/** What an address calls what is nobody else's (common practice). */
const SECRETS = /^(api_?)?(key|token|secret|password|signature)$|^app_?id$|_(key|token|secret)$/i;

/** What was pasted need not be a well-made address: a % that encodes nothing stays as it is. */
const decoded = (text) => {
    try {
        return decodeURIComponent(text);
    } catch {
        return text;
    }
};

/** What is secret is not read over a shoulder, nor in a picture of a stream. */
function hide(secret) {
    secret.closest('p').querySelector('[name$="[sample]"], [name$="[value]"]').type = secret.checked ? 'password' : 'text';
}

/** Only what holds the words stays, with the way to it. */
function findInTree(field) {
    const words = field.value.trim().toLowerCase();
    for (const item of field.closest('#lookup-answer').querySelectorAll('.answer-tree li')) {
        const isFound = words === '' || item.textContent.toLowerCase().includes(words);
        item.hidden = !isFound;
        if (words !== '' && isFound) {
            item.querySelector(':scope > details')?.setAttribute('open', '');
        }
    }
}

/** Up and down from one to the next, right and left to open and close what holds others. */
function walkTree(event) {
    const fold = event.target.closest('summary')?.parentElement;
    if (fold && (event.key === 'ArrowRight' || event.key === 'ArrowLeft')) {
        fold.open = event.key === 'ArrowRight';
        event.preventDefault();
        return;
    }
    const step = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (step) {
        const stops = [...event.target.closest('.answer-tree').querySelectorAll('summary, .found-value')].filter((one) => one.checkVisibility());
        stops[stops.indexOf(event.target) + step]?.focus();
        event.preventDefault();
    }
}

/** A look-up: parts of its address become parameters, values of its answer readings, by a press. */
class LookupForm {
    constructor(form) {
        this.form = form;
        this.row = null;
        form.addEventListener('input', () => this.later());
        form.addEventListener('change', ({ target }) => target.matches('[name$="[secret]"]') && hide(target));
        form.addEventListener('click', (event) => this.clicked(event.target));
        form.addEventListener('focusin', ({ target }) => {
            const row = target.closest('[data-reading]');
            this.row = row ?? this.row;
        });
        document.addEventListener('click', ({ target }) => {
            const candidate = target.closest('[data-use-candidate]');
            if (candidate) {
                this.use(candidate);
            }
            const value = target.closest('.found-value');
            if (value) {
                this.take(value);
            }
        });
        document.body.addEventListener('htmx:afterSwap', () => {
            const kept = document.querySelector('#candidate-kept[data-fills]');
            if (kept) {
                this.fill(kept.dataset.fills, { from: kept.dataset.from });
                delete kept.dataset.fills;
            }
        });
        document.addEventListener('input', ({ target }) => target.matches('[data-tree-find]') && findInTree(target));
        document.addEventListener('keydown', (event) => event.target.closest('.answer-tree') && walkTree(event));
        form.querySelector('[data-address]').addEventListener('input', () => this.offerParts());
        this.offerParts();
    }

    later() {
        clearTimeout(this.timer);
        this.timer = setTimeout(() => this.form.dispatchEvent(new CustomEvent('tried')), TRIED_AFTER);
    }

    clicked(target) {
        if (target.matches('[data-remove-row]')) {
            target.closest('[data-row]').remove();
            this.later();
        } else if (target.matches('[data-add-row]')) {
            this.add(target.dataset.addRow).querySelector('input').focus();
        } else if (target.matches('[data-part]')) {
            this.takePart(target);
        }
    }

    /** In the parameter itself, or where else it is kept from now on. */
    use(candidate) {
        if (document.querySelector('.keep-candidate [name=where]:checked').value !== 'parameter') {
            candidate.dispatchEvent(new CustomEvent('keep', { bubbles: true }));
            return;
        }
        this.fill(candidate.dataset.useCandidate, { from: '', default: candidate.dataset.value, sample: candidate.dataset.value });
        document.querySelector('#candidate-kept').textContent = `${candidate.dataset.useCandidate} is ${candidate.dataset.value} where nobody says anything else. Save it.`;
    }

    fill(parameter, values) {
        const name = [...this.form.querySelectorAll('[name^="parameters["][name$="[name]"]')].find((one) => one.value === parameter);
        for (const [field, value] of name ? Object.entries(values) : []) {
            this.field(name.closest('[data-row]'), field).value = value;
        }
        this.later();
    }

    add(kind) {
        const rows = this.form.querySelector(`[data-rows=${kind}]`);
        const next = [...rows.querySelectorAll('[name]')].reduce((most, { name }) => Math.max(most, Number(name.match(/\[(\d+)\]/)[1]) + 1), 0);
        const row = this.form.querySelector(`[data-template=${kind}]`).content.firstElementChild.cloneNode(true);
        row.querySelectorAll('[name]').forEach((field) => (field.name = field.name.replace('[99]', `[${next}]`)));
        rows.append(row);
        return row;
    }

    field(row, name) {
        return row.querySelector(`[name$="[${name}]"]`);
    }

    /** Into the reading that was touched last, as long as it has no path; else into a new one. */
    take(value) {
        const isFree = this.row?.isConnected && this.field(this.row, 'path').value.trim() === '';
        const row = isFree ? this.row : this.add('readings');
        this.field(row, 'path').value = value.dataset.path;
        this.field(row, 'type').value = KINDS[value.dataset.kind] ?? 'text';
        const name = this.field(row, 'name');
        if (name.value.trim() === '') {
            const words = value.dataset.label.split(/[^\p{L}\p{N}]/u).filter((word) => word !== '');
            name.value = words.join('_').replace(/^\p{N}/u, '_$&').slice(0, 60);
        }
        this.row = row;
        name.focus();
        name.select();
        this.later();
    }

    offerParts() {
        const address = this.form.querySelector('[data-address]').value;
        const list = this.form.querySelector('[data-part-list]');
        list.replaceChildren();
        const [, head, path, query] = address.match(/^(https?:\/\/[^/?#]+)([^?#]*)(?:\?([^#]*))?/i) ?? [];
        const offer = (text, name, made) => {
            const press = Object.assign(document.createElement('button'), { type: 'button', className: 'as-link', textContent: text });
            Object.assign(press.dataset, { part: name, value: made.value, address: made.address });
            list.append(...(list.children.length === 0 ? [press] : [', ', press]));
        };
        if (head !== undefined) {
            const segments = path.split('/');
            segments.forEach((segment, index) => {
                if (segment !== '' && !segment.includes('{')) {
                    const name = /^\d/.test(segment) ? 'number' : segment.replace(/\W+/g, '_').toLowerCase();
                    offer(decoded(segment), name, {
                        value: decoded(segment),
                        address: head + segments.map((one, at) => (at === index ? `{${name}}` : one)).join('/') + (query === undefined ? '' : `?${query}`),
                    });
                }
            });
            const pairs = (query ?? '').split('&').filter((pair) => /^\w+=[^{}]*$/.test(pair));
            pairs.forEach((pair) => {
                const [name, value] = pair.split('=');
                offer(pair, name, {
                    value: decoded(value.replaceAll('+', ' ')),
                    address: address.replace(/\?[^#]*/, (asked) => asked.split('&').map((one) => (one.replace(/^\?/, '') === pair ? one.replace(pair, `${name}={${name}}`) : one)).join('&')),
                });
            });
        }
        this.form.querySelector('[data-parts]').hidden = list.children.length === 0;
    }

    takePart(press) {
        const taken = [...this.form.querySelectorAll('[name^="parameters["][name$="[name]"]')].map((one) => one.value);
        let name = press.dataset.part;
        for (let number = 2; taken.includes(name); number++) {
            name = `${press.dataset.part}${number}`;
        }
        this.form.querySelector('[data-address]').value = press.dataset.address.replace(`{${press.dataset.part}}`, `{${name}}`);
        const row = this.add('parameters');
        this.field(row, 'name').value = name;
        this.field(row, 'sample').value = press.dataset.value;
        this.field(row, 'secret').checked = SECRETS.test(press.dataset.part);
        hide(this.field(row, 'secret'));
        this.offerParts();
        this.field(row, 'name').focus();
    }
}

export function startLookup() {
    const form = document.querySelector('[data-lookup-form]');
    if (form) {
        new LookupForm(form);
    }
}
