/** Choosing what a column holds is looked at without another press; rows in order can be hidden. */
export function startImport() {
    const form = document.getElementById('import');
    if (!form) {
        return;
    }
    form.addEventListener('change', (event) => {
        if (event.target.matches('select, [name=has_heading]')) {
            form.requestSubmit(form.querySelector('[name=look]'));
        }
    });
    document.querySelector('[data-only-problems]')?.addEventListener('change', (event) => {
        document.querySelector('.to-import').classList.toggle('is-narrowed', event.target.checked);
    });
}
