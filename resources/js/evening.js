/** The picture of an evening: arrow keys lead from moment to moment, + and − and the wheel zoom. */
const ZOOMS = { '+': 'nearer', '=': 'nearer', '-': 'farther', '0': 'whole', PageUp: 'earlier', PageDown: 'later' };
const WHEEL_PAUSE = 250;

const lanes = (picture) => [...picture.querySelectorAll('.lane')].map((lane) => [...lane.querySelectorAll('[data-mark]')].sort((a, b) => a.dataset.mark - b.dataset.mark)).filter((marks) => marks.length > 0);

/** The moment beside this one: along its lane, or the nearest of the lane above or below. */
function beside(picture, current, key) {
    const all = lanes(picture);
    const row = all.findIndex((marks) => marks.includes(current));
    if (row < 0) {
        return all[0]?.[0];
    }
    const at = all[row].indexOf(current);
    if (key === 'ArrowLeft' || key === 'ArrowRight') {
        return all[row][at + (key === 'ArrowRight' ? 1 : -1)];
    }
    const next = all[row + (key === 'ArrowDown' ? 1 : -1)];
    return next?.reduce((best, one) => (Math.abs(one.dataset.mark - current.dataset.mark) < Math.abs(best.dataset.mark - current.dataset.mark) ? one : best));
}

function zoom(evening, which) {
    evening.querySelector(`[data-zoom="${which}"]`)?.click();
}

export function startEvening() {
    document.addEventListener('keydown', (event) => {
        const evening = event.target.closest?.('[data-evening]');
        const picture = evening?.querySelector('.evening-picture');
        if (!picture || event.ctrlKey || event.metaKey || event.altKey || event.target.matches('input, select')) {
            return;
        }
        if (ZOOMS[event.key] && event.target.closest('.scrolls, [data-zoom]')) {
            event.preventDefault();
            zoom(evening, ZOOMS[event.key]);
        } else if (event.key.startsWith('Arrow') && (event.target.closest('[data-mark]') || event.target.contains(picture))) {
            const mark = beside(picture, event.target.closest('[data-mark]'), event.key);
            if (mark) {
                event.preventDefault();
                mark.focus();
            }
        } else if ((event.key === 'Enter' || event.key === ' ') && event.target.closest('[data-mark]')) {
            event.preventDefault();
            event.target.closest('[data-mark]').dispatchEvent(new MouseEvent('click', { bubbles: true }));
        }
    });
    document.addEventListener('click', (event) => {
        const mark = event.target.closest?.('[data-mark]');
        if (mark) {
            mark.closest('[data-evening]').querySelectorAll('.is-chosen').forEach((one) => one.classList.remove('is-chosen'));
            mark.classList.add('is-chosen');
        }
    });
    // Where one zoomed to by keys, one goes on by keys.
    document.addEventListener('htmx:afterSwap', (event) => {
        if (event.detail.elt?.id === 'evening' && document.activeElement === document.body) {
            event.detail.elt.querySelector('.scrolls')?.focus({ preventScroll: true });
        }
    });
    let last = 0;
    document.addEventListener('wheel', (event) => {
        const picture = event.target.closest?.('.evening-picture');
        if (!picture || !event.ctrlKey) {
            return;
        }
        event.preventDefault();
        if (event.timeStamp - last > WHEEL_PAUSE) {
            last = event.timeStamp;
            zoom(picture.closest('[data-evening]'), event.deltaY < 0 ? 'nearer' : 'farther');
        }
    }, { passive: false });
}
