const ENDED = [401, 419];

const token = () => document.querySelector('meta[name=csrf-token]').content;

/** Says that the session has ended; what was typed stays on the page and in this browser. */
export function sessionEnded() {
    document.getElementById('lost-session').hidden = false;
}

/** A POST of a form's fields. Null where the session has ended or the server did not answer. */
export async function post(url, fields, signal) {
    const response = await fetch(url, {
        method: 'POST',
        body: fields,
        signal,
        headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token(), 'X-Requested-With': 'XMLHttpRequest' },
    });
    if (ENDED.includes(response.status)) {
        sessionEnded();
    }
    return response.ok ? response.json() : null;
}

export function startSession() {
    document.body.addEventListener('htmx:responseError', (event) => {
        if (ENDED.includes(event.detail.xhr.status)) {
            sessionEnded();
        }
    });
    document.querySelector('[data-theme-switch]')?.addEventListener('click', () => {
        const theme = document.documentElement.dataset.bsTheme === 'dark' ? 'light' : 'dark';
        document.documentElement.dataset.bsTheme = theme;
        localStorage.setItem('theme', theme);
    });
}
