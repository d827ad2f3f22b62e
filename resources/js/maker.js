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
