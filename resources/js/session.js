const ENDED = [401, 419];

/** Another page of the same person is being answered. */
export const BUSY = 429;

const token = () => document.querySelector('meta[name=csrf-token]').content;

/** Says that the session has ended; what was typed stays on the page and in this browser. */
export function sessionEnded() {
    document.getElementById('lost-session').hidden = false;
}

/** A POST of a form's fields. Null where the session has ended or the server did not answer; {busy: true} where it shall be asked again. */
export async function post(url, fields) {
    const response = await fetch(url, {
        method: 'POST',
        body: fields,
        headers: { Accept: 'application/json', 'X-CSRF-TOKEN': token(), 'X-Requested-With': 'XMLHttpRequest' },
    });
    if (ENDED.includes(response.status)) {
        sessionEnded();
    }
    if (response.status === BUSY) {
        return { busy: true };
    }
    return response.ok ? response.json() : null;
}

/** What was typed and never saved is kept in this browser; whoever signs out takes it along, or is asked first. */
function startSigningOut() {
    const form = document.querySelector('[data-sign-out]');
    form?.addEventListener('submit', (event) => {
        const kept = Object.keys(localStorage).filter((key) => key.startsWith(`unsaved:${document.body.dataset.person}:`));
        const asked = document.getElementById('sign-out');
        if (kept.length > 0 && asked.returnValue !== 'clear') {
            event.preventDefault();
            const commands = new Set(kept.map((key) => key.replace(/:aside$/, ''))).size;
            asked.querySelector('[data-count]').textContent = commands === 1 ? 'One command has text' : `${commands} commands have text`;
            asked.addEventListener('close', () => asked.returnValue === 'clear' && form.requestSubmit(), { once: true });
            asked.showModal();
            return;
        }
        kept.forEach((key) => localStorage.removeItem(key));
        sessionStorage.clear();
    });
}

/** Whoever comes back to a long page finds it where they left it. */
function keepPlace() {
    const page = document.querySelector('[data-keeps-place]');
    if (page) {
        const key = `place:${location.pathname}${location.search}`;
        page.scrollTop = Number(sessionStorage.getItem(key));
        window.addEventListener('pagehide', () => sessionStorage.setItem(`place:${location.pathname}${location.search}`, page.scrollTop));
    }
}

/** Which file was chosen stands beside the button. */
function startFiles() {
    document.querySelectorAll('[data-file]').forEach((field) => field.addEventListener('change', () => {
        field.closest('.file-field').querySelector('[data-file-name]').textContent = field.files[0]?.name ?? 'no file chosen';
    }));
}

export function startSession() {
    startSigningOut();
    keepPlace();
    startFiles();
    // What is there to be copied is chosen whole as soon as one goes there.
    document.querySelector('[data-select]')?.addEventListener('focus', (event) => event.target.select());
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
