const isTyping = (target) => target.closest('input, textarea, select, [contenteditable=true]') !== null;

const focus = (selector) => document.querySelector(selector)?.focus();

function crossOver(target) {
    if (target.closest('#chat')) {
        focus('#command .cm-content');
    } else {
        focus('#say-line');
    }
}

export function startKeys() {
    const help = document.getElementById('help');
    document.querySelector('[data-help]')?.addEventListener('click', () => help.showModal());
    document.addEventListener('keydown', (event) => {
        const ctrl = event.ctrlKey || event.metaKey;
        if (ctrl && event.key === 's' && document.getElementById('command')) {
            event.preventDefault();
            document.getElementById('command').requestSubmit();
        } else if (ctrl && event.key === 'Enter') {
            event.preventDefault();
            crossOver(event.target);
        } else if (!ctrl && !event.altKey && !isTyping(event.target)) {
            const act = {
                '/': () => focus('[data-find]'),
                n: () => document.querySelector('[data-new]')?.click(),
                '?': () => help.showModal(),
            }[event.key];
            if (act) {
                event.preventDefault();
                act();
            }
        }
    });
}
