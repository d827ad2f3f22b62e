import htmx from 'htmx.org';
import { layNotes } from './margin.js';
import { BUSY } from './session.js';

/** Shows one line's why in the margin and hides the others. */
function showWhy(index) {
    document.querySelectorAll('.why').forEach((why) => (why.hidden = why.id !== `why-${index}`));
    document.querySelectorAll('[data-why]').forEach((button) => button.setAttribute('aria-pressed', String(button.dataset.why === String(index))));
    layNotes();
}

function showLast() {
    const lines = document.getElementById('lines');
    if (!lines) {
        return;
    }
    lines.scrollTop = lines.scrollHeight;
    const all = lines.querySelectorAll('[data-why]');
    if (all.length > 0) {
        showWhy(all[all.length - 1].dataset.why);
    }
}

function move(button, by) {
    const all = [...document.querySelectorAll('[data-why]')];
    all[all.indexOf(button) + by]?.focus();
}

const KEPT = 'parrot:chat';

/** Milliseconds until what was turned away is asked again. */
const AGAIN = 300;

/** Saving loads the page anew; the chat beside it goes on where it was. */
function goOnAfterSaving() {
    const form = document.getElementById('command');
    const kept = sessionStorage.getItem(KEPT);
    sessionStorage.removeItem(KEPT);
    document.addEventListener('submit', ({ target }) => {
        if (target !== form && !target.matches('[data-keeps-chat]')) {
            return;
        }
        const state = document.querySelector('#chat [name=chat]');
        if (state && document.querySelector('#lines .line')) {
            sessionStorage.setItem(KEPT, JSON.stringify([state.value, document.getElementById('speaker').value]));
        }
    });
    const goesOn = form ? form.dataset.saved !== undefined || form.dataset.unsaved !== undefined : document.querySelector('.is-rehearsal');
    if (kept && goesOn) {
        const [state, speaker] = JSON.parse(kept);
        document.querySelector('#chat [name=chat]').value = state;
        document.getElementById('speaker').value = speaker;
        const chat = document.getElementById('chat');
        htmx.ajax('POST', chat.getAttribute('hx-post'), { source: chat });
    }
}

/** The line that a request says is the one that stood there when it was sent off, also where the request has to wait its turn. */
function takeLine({ elt, triggeringEvent, etc }) {
    const field = document.getElementById('say-line');
    if (elt.id === 'chat' && triggeringEvent?.type === 'submit' && etc.values === undefined) {
        etc.values = { do: 'say', line: field.value, speaker: document.getElementById('speaker').value };
        field.value = '';
        field.focus({ preventScroll: true });
    }
}

function giveLineBack({ etc }) {
    const field = document.getElementById('say-line');
    field.value ||= etc.values?.line ?? '';
}

const isQuiet = ({ detail: { requestConfig } }) => requestConfig?.parameters?.do === 'hear';

/** Where somebody looks while lines are heard anew: it stays there. */
let looked = {};

/** The lines so far, through what stands on the page now. */
export function hearAgain() {
    const chat = document.getElementById('chat');
    if (chat) {
        htmx.ajax('POST', chat.getAttribute('hx-post'), { source: chat, values: { do: 'hear' } });
    }
}

/** Several lines are said one after the other, as if each had been typed; a field of one line would run them together. */
function sayPasted(event) {
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (event.target.id === 'say-line' && text.trim().includes('\n')) {
        event.preventDefault();
        const chat = document.getElementById('chat');
        htmx.ajax('POST', chat.getAttribute('hx-post'), { source: chat, values: { do: 'say', line: text, speaker: document.getElementById('speaker').value } });
    }
}

export function startChat() {
    document.addEventListener('paste', sayPasted);
    document.addEventListener('click', (event) => {
        const button = event.target.closest('[data-why]');
        if (button) {
            showWhy(button.dataset.why);
        }
    });
    document.addEventListener('focusin', (event) => {
        if (event.target.matches('[data-why]')) {
            showWhy(event.target.dataset.why);
        }
    });
    document.addEventListener('keydown', (event) => {
        if (event.target.matches?.('[data-why]') && ['ArrowUp', 'ArrowDown'].includes(event.key)) {
            event.preventDefault();
            move(event.target, event.key === 'ArrowUp' ? -1 : 1);
        }
    });
    document.body.addEventListener('htmx:confirm', (event) => takeLine(event.detail));
    for (const failed of ['htmx:responseError', 'htmx:sendError', 'htmx:timeout']) {
        document.body.addEventListener(failed, ({ detail: { elt, xhr, etc, requestConfig } }) => {
            if (!elt.closest('#chat')) {
                return;
            }
            if (xhr.status === BUSY) {
                setTimeout(() => htmx.ajax('POST', requestConfig.path, { source: elt, values: etc.values }), AGAIN);
            } else {
                giveLineBack({ etc });
            }
        });
    }
    document.body.addEventListener('htmx:beforeSwap', (event) => {
        if (event.detail.target.id === 'heard' && isQuiet(event)) {
            const lines = document.getElementById('lines');
            looked = { why: document.querySelector('[data-why][aria-pressed=true]')?.dataset.why, place: lines?.scrollTop };
        }
    });
    document.body.addEventListener('htmx:afterSettle', (event) => {
        if (event.target.id === 'heard' && isQuiet(event)) {
            document.getElementById('lines').scrollTop = looked.place ?? 0;
            if (looked.why !== undefined) {
                showWhy(looked.why);
            }
        } else if (event.target.id === 'heard') {
            showLast();
            if (document.activeElement === document.body) {
                document.getElementById('say-line')?.focus({ preventScroll: true });
            }
        }
        layNotes();
    });
    showLast();
    goOnAfterSaving();
}
