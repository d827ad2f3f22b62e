import { post } from './session.js';

const said = (count, one, many) => (count === 1 ? one : many.replace('#', count));

function put(id, count, words) {
    const place = document.getElementById(id);
    if (!place) {
        return;
    }
    const [seen, heard] = [document.createElement('span'), document.createElement('span')];
    seen.setAttribute('aria-hidden', 'true');
    seen.textContent = count;
    heard.className = 'visually-hidden';
    heard.textContent = words;
    place.replaceChildren(...(count > 0 ? [seen, heard] : []));
}

/** How much waits in which room stands on the tabs; whether the command of this page does, beside its Save. */
async function count(tabs) {
    const fields = new FormData();
    fields.set('command', document.querySelector('#command [name=command]')?.value ?? '0');
    const told = await post(tabs.dataset.waiting, fields).catch(() => null);
    if (!told || told.busy) {
        return;
    }
    put('waiting-changes', told.changes, said(told.changes, 'one change waits', '# changes wait'));
    put('waiting-findings', told.findings, said(told.findings, 'one finding', '# findings'));
    const publish = document.getElementById('publish-this');
    if (publish) {
        publish.hidden = !told.isWaiting;
    }
}

export function startWaiting() {
    const tabs = document.querySelector('[data-waiting]');
    if (tabs) {
        count(tabs);
        document.body.addEventListener('parrot:saved', () => count(tabs));
    }
}
