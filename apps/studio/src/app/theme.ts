import { useState } from 'react';

export type Theme = 'ivy' | 'ivy-night';

/** Day or night; kept on this device. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState<Theme>(() =>
    document.documentElement.dataset.theme === 'ivy-night' ? 'ivy-night' : 'ivy',
  );
  const flip = () => {
    const next = theme === 'ivy' ? 'ivy-night' : 'ivy';
    document.documentElement.dataset.theme = next;
    localStorage.setItem('ivy-theme', next);
    setTheme(next);
  };
  return [theme, flip];
}
