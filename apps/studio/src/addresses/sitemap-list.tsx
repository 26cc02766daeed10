import type { FoundAddress, Lens } from '@ivy/core';
import { X } from 'lucide-react';
import { Link } from 'react-router';
import { figure } from '../shared/figures.js';
import { closeModal, Modal } from '../shared/modal.js';
import { MiniTokens } from './mini-tokens.js';

interface Props {
  slug: string;
  lens: Lens;
  hues: ReadonlyMap<string, number>;
  found: readonly FoundAddress[];
  onClose: () => void;
}

/** Addresses listed at most. */
const most = 300;

/** The addresses that search engines are told of, in a sheet of their own. */
export function SitemapList({ slug, lens, hues, found, onClose }: Props) {
  return (
    <Modal
      label="In the sitemap"
      className="m-auto max-h-[80vh] w-[min(620px,92vw)] border border-rule-2 p-0"
      onClose={onClose}
    >
      <header className="sticky top-0 flex items-center justify-between border-b border-rule bg-raised px-4 py-2.5">
        <h2 className="serif text-[19px] font-semibold">{figure(found.length)} in the sitemap</h2>
        <button
          type="button"
          className="icon-button"
          aria-label="Close"
          onClick={({ currentTarget }) => closeModal(currentTarget)}
        >
          <X size={16} />
        </button>
      </header>
      <ul>
        {found.slice(0, most).map(({ address, matched }) => (
          <li key={address} className="border-b border-rule">
            <Link to={`/lenses/${slug}?${address}`} className="flex items-baseline gap-3 px-4 py-1.5 hover:bg-sunk">
              <span className="min-w-0 flex-1">
                <MiniTokens {...{ lens, hues, address }} />
              </span>
              <span className="text-ink-2">{figure(matched)}</span>
            </Link>
          </li>
        ))}
      </ul>
      {found.length > most && <p className="px-4 py-2 text-ink-2">and {figure(found.length - most)} more</p>}
    </Modal>
  );
}
