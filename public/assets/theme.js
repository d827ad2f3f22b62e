(()=>{(()=>{let e=localStorage.getItem("theme")??(matchMedia("(prefers-color-scheme: dark)").matches?"dark":"light");document.documentElement.dataset.bsTheme=e})();})();
