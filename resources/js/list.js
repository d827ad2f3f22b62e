/** The list of commands: lines opened in place, groups folded, many chosen at once. */

const chosenIn = (list) => [...list.querySelectorAll('[data-choose]')];

/** A press with the shift key chooses all from the last one on. */
let lastChosen = null;

function tellChosen() {
    const list = document.getElementById('entries');
    const bar = list?.querySelector('[data-many]');
    if (!bar) {
        return;
    }
    const count = chosenIn(list).filter((one) => one.checked).length;
    const isAll = bar.querySelector('[data-many-all]').checked;
    bar.hidden = count === 0 && !isAll;
    bar.querySelector('[data-many-count]').textContent = isAll ? 'All selected:' : `${count} selected:`;
}

function choose(box, isRange) {
    const boxes = chosenIn(document.getElementById('entries'));
    if (isRange && lastChosen && boxes.includes(lastChosen)) {
        const [from, to] = [boxes.indexOf(lastChosen), boxes.indexOf(box)].sort((a, b) => a - b);
        boxes.slice(from, to + 1).forEach((one) => (one.checked = box.checked));
    }
    lastChosen = box;
    tellChosen();
}

function fold(button) {
    const isOpen = button.getAttribute('aria-expanded') === 'true';
    const { group } = button.closest('[data-group]').dataset;
    button.setAttribute('aria-expanded', String(!isOpen));
    foldedGroups.set(group, isOpen);
    hideFolded();
}

/** By name, as long as the page is there: what comes later of a folded group is folded too. */
const foldedGroups = new Map();

function hideFolded() {
    document.querySelectorAll('#entries .entry').forEach((one) => (one.hidden = foldedGroups.get(one.dataset.in) === true));
    document.querySelectorAll('#entries [data-fold]').forEach((one) => one.setAttribute('aria-expanded', String(foldedGroups.get(one.closest('[data-group]').dataset.group) !== true)));
}

function open(button) {
    const isOpen = button.closest('.entry').classList.toggle('is-open');
    button.setAttribute('aria-expanded', String(isOpen));
    button.textContent = isOpen ? 'close' : 'open';
}

export function startList() {
    if (!document.getElementById('entries')) {
        return;
    }
    document.addEventListener('click', ({ target, shiftKey }) => {
        if (target.matches('[data-choose]')) {
            choose(target, shiftKey);
        } else if (target.closest('[data-fold]')) {
            fold(target.closest('[data-fold]'));
        } else if (target.closest('[data-open-entry]')) {
            open(target.closest('[data-open-entry]'));
        } else if (target.matches('[data-many-none]')) {
            chosenIn(document.getElementById('entries')).forEach((one) => (one.checked = false));
            document.querySelector('[data-many-all]').checked = false;
            tellChosen();
        }
    });
    document.addEventListener('change', ({ target }) => {
        if (target.matches('[data-many-all]')) {
            tellChosen();
        } else if (target.matches('#many [data-shows]')) {
            target.parentElement.querySelectorAll('[data-shown-for]').forEach((one) => (one.hidden = !one.dataset.shownFor.split(' ').includes(target.value)));
        }
    });
    document.body.addEventListener('htmx:afterSettle', () => {
        hideFolded();
        tellChosen();
    });
}
