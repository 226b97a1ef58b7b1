// Before the first paint, so that a dark shed never sees a white flash.
document.documentElement.dataset.theme =
  localStorage.getItem('yc-theme') ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
