const GAP = 10;

const wide = matchMedia('(min-width: 992px)');

/** Where the middle of what a note is about stands, in the margin's own measure. */
function heightOf(note, margin) {
    const own = note.measure?.();
    if (own) {
        return own - margin.getBoundingClientRect().top;
    }
    const target = document.getElementById(note.dataset.for) ?? document.querySelector(note.dataset.about ?? '#nothing');
    if (!target) {
        return 0;
    }
    const page = target.closest('.page')?.getBoundingClientRect();
    const box = target.getBoundingClientRect();
    const middle = box.top + Math.min(box.height / 2, 16);
    return Math.max(page.top + 8, Math.min(page.bottom - 24, middle)) - margin.getBoundingClientRect().top;
}

function rule(svg, from, to, side, width, isQuiet) {
    const line = document.createElementNS('http://www.w3.org/2000/svg', 'path');
    const [a, b] = side === 'left' ? [0, 12] : [width, width - 12];
    line.setAttribute('d', `M${a} ${to} L${b} ${from}`);
    line.setAttribute('class', isQuiet ? 'rule' : `rule rule-${side}`);
    svg.append(line);
}

/** Puts every shown note beside what it is about, below the one before where they would lie on each other, and joins it by a rule. */
export function layNotes() {
    const margin = document.getElementById('margin');
    if (!margin) {
        return;
    }
    margin.querySelector('svg.rules')?.remove();
    const notes = [...margin.querySelectorAll('[data-for], [data-about]')].filter((note) => !note.hidden);
    // Once something has stood in it, it stays: the text beside it does not jump with every note.
    if (notes.length > 0) {
        margin.parentElement.classList.add('has-notes');
    }
    notes.forEach((note) => (note.style.top = ''));
    if (!wide.matches) {
        return;
    }
    const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg');
    svg.setAttribute('class', 'rules');
    svg.setAttribute('aria-hidden', 'true');
    // Findings keep to their lines; a why takes the room that is left.
    const rank = (one) => (one.note.closest('[data-notes]').dataset.notes === 'left' ? 0 : 1);
    const placed = notes.map((note) => ({ note, at: heightOf(note, margin) })).sort((a, b) => rank(a) - rank(b) || a.at - b.at);
    // From the bottom up, so that nothing is pushed out of sight; then from the top down, so that nothing overlaps.
    let room = margin.clientHeight - GAP;
    for (const one of [...placed].reverse()) {
        one.top = Math.min(one.at - 14, room - one.note.offsetHeight);
        room = one.top - GAP;
    }
    let free = GAP;
    for (const one of placed) {
        one.top = Math.max(free, one.top);
        one.note.style.top = `${one.top}px`;
        free = one.top + one.note.offsetHeight + GAP;
        const side = one.note.closest('[data-notes]').dataset.notes;
        rule(svg, one.top + 14, one.at, side, margin.clientWidth, one.note.classList.contains('unreached'));
    }
    margin.append(svg);
}

addEventListener('resize', layNotes);
document.addEventListener('scroll', layNotes, { capture: true, passive: true });
