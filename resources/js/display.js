/** How chats look is kept in this browser. */
export function startDisplay() {
    document.querySelectorAll('[data-display]').forEach((field) => {
        const name = `chat-${field.dataset.display}`;
        const kept = localStorage.getItem(name) ?? '';
        if (field.type === 'checkbox') {
            field.checked = kept === field.value;
        } else {
            field.value = kept;
        }
        field.addEventListener('change', () => {
            const chosen = field.type === 'checkbox' && !field.checked ? '' : field.value;
            localStorage.setItem(name, chosen);
            document.documentElement.setAttribute(`data-${name}`, chosen);
        });
    });
}
