/** Of a form whose parts belong to one type each, only those of the chosen type are shown. */
export function showType(form) {
    const select = form?.querySelector('[data-shows-type]');
    if (!select) {
        return;
    }
    const show = () => {
        for (const part of form.querySelectorAll('[data-for-type]')) {
            part.hidden = part.dataset.forType !== select.value;
        }
    };
    select.addEventListener('change', show);
    show();
}
