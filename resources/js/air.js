import htmx from 'htmx.org';
import { post } from './session.js';

/** Milliseconds: how often a page asks that cannot read along, and after how long it tries to read along again. */
const ASKS_EVERY = 2000;
const TRIES_AGAIN = 15000;

/** Lines that stay on the page; the oldest make room. */
const MOST = 200;

const KINDS = { dropped: 'not said, the chat takes no more:', notice: 'the chat says:', whispered: 'whispers:', 'said-alone': 'whispers:' };

let list;
let after = 0;
let emotes = {};

/** The words of emotes that stand by themselves become pictures, as in the chat. */
function show(part, text) {
    const pieces = [''];
    text.split(' ').forEach((word, index) => {
        const space = index === 0 ? '' : ' ';
        if (Object.hasOwn(emotes, word)) {
            pieces[pieces.length - 1] += space;
            pieces.push(Object.assign(document.createElement('img'), { className: 'emote', src: emotes[word], alt: word, title: word }), '');
        } else {
            pieces[pieces.length - 1] += space + word;
        }
    });
    part.replaceChildren(...pieces.filter((piece) => piece !== ''));
}

function fill(row, told) {
    const part = (name) => row.querySelector(`[data-part=${name}]`);
    row.dataset.number = told.number;
    const isSaid = told.kind.startsWith('said');
    row.classList.toggle('is-said', isSaid);
    row.classList.toggle('is-aside', told.kind in KINDS);
    for (const name of ['time', 'name', 'level', 'outcome']) {
        part(name).textContent = told[name];
    }
    show(part('text'), told.text);
    part('level').hidden = told.level === '';
    part('outcome').hidden = told.outcome === '';
    part('kind').hidden = !(told.kind in KINDS);
    part('kind').textContent = KINDS[told.kind] ?? '';
    part('text').classList.toggle('saying', isSaid);
    const link = row.querySelector('.said-by');
    if (['heard', 'whispered'].includes(told.kind)) {
        link.href = link.href.replace(/line=0$/, `line=${told.number}`);
        link.dataset.airWhy = link.dataset.airWhy.replace(/\/0\/why$/, `/${told.number}/why`);
    } else {
        link.removeAttribute('href');
        delete link.dataset.airWhy;
    }
}

/** Whether the newest line is looked at; whoever scrolls up looks at others, and is told how many came since. */
let isFollowing = true;
let missed = 0;

function isAtEnd() {
    return list.scrollHeight - list.scrollTop - list.clientHeight < 40;
}

function showNewest() {
    const button = document.getElementById('newest');
    if (isFollowing) {
        missed = 0;
        list.scrollTop = list.scrollHeight;
    }
    if (button) {
        button.hidden = isFollowing;
        button.textContent = missed === 0 ? 'Newest' : missed === 1 ? '1 new line' : `${missed} new lines`;
    }
}

function follow() {
    isFollowing = true;
    showNewest();
}

function take(told) {
    const known = list.querySelector(`[data-number="${told.number}"]`);
    if (known) {
        fill(known, told);
        showNewest();
        return;
    }
    const row = document.getElementById('air-line').content.firstElementChild.cloneNode(true);
    fill(row, told);
    row.querySelector('.said-by').came = Date.now();
    list.append(row);
    list.querySelector('.empty').hidden = true;
    after = Math.max(after, told.number);
    missed += 1;
    // Whoever looks at others keeps them, also those that were fetched.
    const rows = list.querySelectorAll('.line');
    if (isFollowing && rows.length > MOST && !rows[0].contains(document.activeElement)) {
        rows[0].remove();
    }
    showNewest();
}

function say(how) {
    document.getElementById('reading-along').textContent = how;
}

async function askNow() {
    let lines = [];
    try {
        const response = await fetch(`${list.dataset.airLines}?after=${after}`, { headers: { Accept: 'application/json' } });
        lines = response.ok ? await response.json() : [];
    } catch {
        // The next round asks again.
    }
    lines.forEach(take);
}

/** Asks now and then, and tries again to read along. */
function askMeanwhile() {
    say('asking every two seconds');
    const asking = setInterval(askNow, ASKS_EVERY);
    setTimeout(() => {
        clearInterval(asking);
        readAlong();
    }, TRIES_AGAIN);
}

async function readAlong() {
    let address = null;
    try {
        address = await post(list.dataset.airStream, new FormData());
    } catch {
        // No answer is like no address.
    }
    if (!address?.url) {
        askMeanwhile();
        return;
    }
    const source = new EventSource(`${address.url}&after=${after}`);
    source.onopen = () => say('live updates');
    source.addEventListener('line', (event) => take(JSON.parse(event.data)));
    source.addEventListener('outcome', (event) => take(JSON.parse(event.data)));
    source.onerror = async () => {
        // A token opens a stream once and for a short while, so every stream begins with a new one.
        source.close();
        await askNow();
        askMeanwhile();
    };
}

/** A line is told at once and written down a moment later; only then can it be asked for. */
const WRITTEN_AFTER = 600;

function showWhy(link) {
    const wait = WRITTEN_AFTER - (Date.now() - (link.came ?? 0));
    if (wait > 0) {
        setTimeout(() => showWhy(link), wait);
        return;
    }
    list.querySelectorAll('[aria-current]').forEach((one) => one.removeAttribute('aria-current'));
    link.setAttribute('aria-current', 'true');
    htmx.ajax('GET', link.dataset.airWhy, { target: '#air-why', swap: 'innerHTML' });
}

/** Says a line as it stood when it was sent off; what could not be said stands in its field again, unless more was typed meanwhile. */
async function send(url, fields, text) {
    const problem = document.getElementById('air-problem');
    const response = await fetch(url, { method: 'POST', body: fields, headers: { Accept: 'application/json' } }).catch(() => null);
    problem.textContent = response === null ? 'Silver Parrot does not answer.' : response.ok ? '' : ((await response.json().catch(() => ({}))).message ?? 'That did not work; try again.');
    if (!response?.ok) {
        text.value ||= fields.get('text');
    }
}

function startSaying() {
    const form = document.getElementById('air-say');
    let turn = Promise.resolve();
    form?.addEventListener('submit', (event) => {
        event.preventDefault();
        const text = document.getElementById('air-text');
        const fields = new FormData(form);
        text.value = '';
        text.focus();
        // One's own line is always seen.
        follow();
        turn = turn.then(() => send(form.action, fields, text));
    });
}

export function startAir() {
    list = document.querySelector('[data-air-lines]');
    if (!list) {
        return;
    }
    after = Number(list.dataset.airAfter);
    emotes = JSON.parse(list.dataset.airEmotes);
    list.querySelectorAll('[data-part=text]').forEach((part) => show(part, part.textContent));
    list.scrollTop = list.scrollHeight;
    list.querySelector('[aria-current]')?.scrollIntoView({ block: 'center' });
    isFollowing = isAtEnd();
    // Only a person scrolls up: what comes, and what grows, pushes the end away without anybody's doing.
    let was = list.scrollTop;
    list.addEventListener('scroll', () => {
        isFollowing = isAtEnd() || (isFollowing && list.scrollTop >= was);
        was = list.scrollTop;
        showNewest();
    });
    document.getElementById('newest')?.addEventListener('click', follow);
    new ResizeObserver(showNewest).observe(list);
    list.addEventListener('htmx:beforeSwap', () => (list.dataset.height = list.scrollHeight));
    list.addEventListener('htmx:afterSettle', () => {
        // Older lines are put above; what was looked at stays where it is.
        if (list.dataset.height === undefined) {
            return;
        }
        list.scrollTop += list.scrollHeight - Number(list.dataset.height);
        delete list.dataset.height;
        list.querySelectorAll('[data-part=text]').forEach((part) => part.querySelector('img') || show(part, part.textContent));
    });
    list.addEventListener('click', (event) => {
        const link = event.target.closest('[data-air-why]');
        if (link && !event.ctrlKey && !event.metaKey) {
            event.preventDefault();
            showWhy(link);
        }
    });
    list.addEventListener('keydown', (event) => {
        const all = [...list.querySelectorAll('[data-air-why]')];
        const at = all.indexOf(event.target);
        if (at >= 0 && ['ArrowUp', 'ArrowDown'].includes(event.key)) {
            event.preventDefault();
            all[at + (event.key === 'ArrowUp' ? -1 : 1)]?.focus();
        }
    });
    startSaying();
    if (list.dataset.airStream) {
        readAlong();
    }
}
