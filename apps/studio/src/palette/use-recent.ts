import { useState } from 'react';

const place = 'ivy-palette';
const kept = 12;

/** What was used of the palette on this device, the last first. */
export function useRecent(): { recent: readonly string[]; remember: (id: string) => void } {
  const [recent, setRecent] = useState<string[]>(read);
  const remember = (id: string) => {
    const next = [id, ...recent.filter((one) => one !== id)].slice(0, kept);
    localStorage.setItem(place, JSON.stringify(next));
    setRecent(next);
  };
  return { recent, remember };
}

function read(): string[] {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(place) ?? '[]');
    return Array.isArray(found) ? found.filter((one): one is string => typeof one === 'string') : [];
  } catch {
    return [];
  }
}
