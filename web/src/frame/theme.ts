const KEY = 'theme';

export function applyTheme(): void {
  document.documentElement.dataset.theme = localStorage.getItem(KEY) ?? 'day';
}

/** Paper by day, a dim set for the check beside the tank at night. */
export function toggleTheme(): void {
  localStorage.setItem(KEY, localStorage.getItem(KEY) === 'night' ? 'day' : 'night');
  applyTheme();
}
