/** A large file is sent in parts, one after the other, with what is there by now, and can be stopped. */
async function send(form, file) {
    const size = Number(form.dataset.part);
    const shown = form.querySelector('[data-progress]');
    const [bar, words] = [shown.querySelector('progress'), shown.querySelector('[role=status]')];
    let isStopped = false;
    shown.querySelector('[data-stop]').onclick = () => {
        isStopped = true;
    };
    shown.hidden = false;
    for (let from = 0; from < file.size && !isStopped; from += size) {
        const part = new FormData();
        part.append('_token', form.querySelector('[name=_token]').value);
        part.append('from', from);
        part.append('part', file.slice(from, from + size), 'part.log');
        const answer = await fetch(form.dataset.partsTo, { method: 'POST', body: part, headers: { Accept: 'application/json' } });
        if (!answer.ok) {
            const told = await answer.json().catch(() => ({}));
            words.textContent = told.problem ?? 'It could not be sent. Try again.';
            return;
        }
        const there = Math.min(file.size, from + size);
        bar.value = (100 * there) / file.size;
        words.textContent = `${(there / 1e6).toFixed(1)} of ${(file.size / 1e6).toFixed(1)} MB are here.`;
    }
    if (isStopped) {
        words.textContent = 'Stopped.';
    } else {
        location.assign(location.pathname);
    }
}

export function startParts() {
    document.addEventListener('submit', (event) => {
        const form = event.target.closest('[data-parts-to]');
        const file = form?.querySelector('input[type=file]').files[0];
        if (!file) {
            return;
        }
        event.preventDefault();
        if (file.size > Number(form.dataset.largest)) {
            form.querySelector('[data-progress]').hidden = false;
            form.querySelector('[role=status]').textContent = 'A log has at most 200 MB: divide it.';
            return;
        }
        send(form, file);
    });
}
