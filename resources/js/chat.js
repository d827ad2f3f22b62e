import htmx from 'htmx.org';
import { layNotes } from './margin.js';

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

/** Saving loads the page anew; the chat beside it goes on where it was. */
function goOnAfterSaving() {
    const form = document.getElementById('command');
    const kept = sessionStorage.getItem(KEPT);
    sessionStorage.removeItem(KEPT);
    form?.addEventListener('submit', () => {
        const state = document.querySelector('#chat [name=chat]');
        if (state && document.querySelector('#lines .line')) {
            sessionStorage.setItem(KEPT, JSON.stringify([state.value, document.getElementById('speaker').value]));
        }
    });
    if (kept && form && (form.dataset.saved !== undefined || form.dataset.unsaved !== undefined)) {
        const [state, speaker] = JSON.parse(kept);
        document.querySelector('#chat [name=chat]').value = state;
        document.getElementById('speaker').value = speaker;
        const chat = document.getElementById('chat');
        htmx.ajax('POST', chat.getAttribute('hx-post'), { source: chat, target: chat, swap: 'outerHTML' });
    }
}

export function startChat() {
    let hadFocus = '';
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
    document.body.addEventListener('htmx:beforeRequest', (event) => {
        if (event.detail.elt.closest('#chat')) {
            hadFocus = document.activeElement?.id || document.activeElement?.getAttribute('aria-label') || '';
        }
    });
    document.body.addEventListener('htmx:responseError', (event) => {
        // Another page of the same person is being answered; the line still stands in its field.
        const { xhr, requestConfig } = event.detail;
        if (xhr.status === 429 && requestConfig.elt.closest('#chat')) {
            setTimeout(() => htmx.trigger(requestConfig.elt, requestConfig.triggeringEvent?.type ?? 'submit'), 300);
        }
    });
    document.body.addEventListener('htmx:afterSettle', (event) => {
        if (event.target.id === 'chat') {
            showLast();
            // The field is a new one; whoever was typing goes on typing.
            const same = document.getElementById(hadFocus) ?? [...document.querySelectorAll('#chat button')].find((one) => one.getAttribute('aria-label') === hadFocus);
            (same ?? document.getElementById('say-line'))?.focus({ preventScroll: true });
        }
        layNotes();
    });
    showLast();
    goOnAfterSaving();
}
