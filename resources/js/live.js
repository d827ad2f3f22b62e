// Shows a text as it is now, by its address, and goes on by itself after whatever was away comes back.
const EVERY = 1000;

function dress(shown) {
    const { font, size, colour, outline, align } = shown.dataset;
    shown.style.fontFamily = { serif: 'var(--serif, serif)', sans: 'sans-serif', mono: 'var(--mono, monospace)' }[font] ?? 'serif';
    shown.style.fontSize = `${Number(size) || 48}px`;
    shown.style.color = colour;
    shown.style.webkitTextStroke = outline === 'none' ? '' : `${Math.max(1, Math.round(Number(size) / 16))}px ${outline}`;
    shown.style.paintOrder = 'stroke fill';
    shown.style.textAlign = align;
}

function follow(shown) {
    const read = async () => {
        try {
            const answer = await fetch(shown.dataset.live, { cache: 'no-store', credentials: 'omit' });
            if (answer.ok) {
                const text = await answer.text();
                if (text !== shown.textContent) {
                    shown.textContent = text;
                }
            }
        } catch {
            // Away for now; the next look may find it again.
        }
        setTimeout(read, EVERY);
    };
    setTimeout(read, EVERY);
}

for (const shown of document.querySelectorAll('.live-text')) {
    dress(shown);
    if (shown.dataset.live) {
        follow(shown);
    }
}

const form = document.querySelector('[data-live-form]');
form?.addEventListener('input', () => {
    const shown = form.querySelector('.live-text');
    for (const part of ['font', 'size', 'colour', 'outline', 'align']) {
        shown.dataset[part] = form.elements[part].value;
    }
    dress(shown);
});
