// Before anything is drawn, so that a night watch never begins with a white flash.
(() => {
    const kept = localStorage.getItem('theme');
    const theme = kept ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
    document.documentElement.dataset.bsTheme = theme;
    // How chats look: data-chat-size, data-chat-rules, data-chat-times.
    for (const name of ['size', 'rules', 'times']) {
        document.documentElement.setAttribute(`data-chat-${name}`, localStorage.getItem(`chat-${name}`) ?? '');
    }
})();
