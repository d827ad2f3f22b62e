import { showType } from './typed.js';

/** What a response names and nobody has made yet is made beside the text; the text stays, and says it at once. */
export async function openMaker(url, made) {
    const sheet = document.getElementById('maker');
    sheet.hidden = true;
    const response = await fetch(url, { headers: { 'HX-Request': 'true' } }).catch(() => null);
    if (!response?.ok) {
        return;
    }
    sheet.innerHTML = await response.text();
    const form = sheet.querySelector('form[data-named]');
    showType(form);
    opened = (open, on) => make(open, on, made);
    form.addEventListener('submit', (event) => {
        event.preventDefault();
        make(form, sheet, made);
    });
    form.querySelector('[data-named-cancel]').addEventListener('click', (event) => {
        event.preventDefault();
        sheet.hidden = true;
    });
    sheet.hidden = false;
    (form.querySelector('textarea, select') ?? form.querySelector('[name=name]')).focus();
}

let opened = async () => {};

async function make(form, sheet, made) {
    const response = await fetch(form.action, { method: 'POST', body: new FormData(form), headers: { Accept: 'application/json' } }).catch(() => null);
    const told = await response?.json().catch(() => null);
    if (response?.ok) {
        document.getElementById('notice').replaceChildren(Object.assign(document.createElement('p'), { className: 'notice', textContent: told.notice }));
        sheet.hidden = true;
        made();
        document.body.dispatchEvent(new Event('parrot:saved'));
        return;
    }
    const problem = form.querySelector('[data-named-problem]');
    problem.hidden = false;
    problem.textContent = Object.values(told?.errors ?? {}).flat()[0] ?? 'That did not work; try again.';
}

/** Saving the command saves what stands open beside it too, and first. What is wrong there stays, and hinders no command. */
export async function saveOpenMaker() {
    const sheet = document.getElementById('maker');
    const form = sheet?.hidden === false ? sheet.querySelector('form[data-named]') : null;
    if (form?.checkValidity()) {
        await opened(form, sheet);
    }
}
