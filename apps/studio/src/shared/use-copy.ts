import { useState } from 'react';

const shownFor = 1600;

/** Copies a text, and says for a moment that it did. */
export function useCopy(): { copied: boolean; copy: (text: string) => Promise<void> } {
  const [copied, setCopied] = useState(false);
  const copy = async (text: string) => {
    await write(text);
    setCopied(true);
    setTimeout(() => setCopied(false), shownFor);
  };
  return { copied, copy };
}

/** The clipboard is there only on pages that came safely; elsewhere a hidden box and the old command do it. */
async function write(text: string): Promise<void> {
  if ('clipboard' in navigator) return navigator.clipboard.writeText(text);
  const box = document.createElement('textarea');
  box.value = text;
  document.body.append(box);
  box.select();
  document.execCommand('copy');
  box.remove();
}
