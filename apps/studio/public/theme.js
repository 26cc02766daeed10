// Before the first paint, so that night is never a flash of day.
(() => {
  const chosen = localStorage.getItem('ivy-theme');
  const night = chosen ? chosen === 'ivy-night' : matchMedia('(prefers-color-scheme: dark)').matches;
  document.documentElement.dataset.theme = night ? 'ivy-night' : 'ivy';
})();
