import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { AppBar } from '../app/app-bar.js';
import { FindBox } from '../shared/find-box.js';
import { helpPages, type HelpPage } from './help-pages.js';
import { helpPictures } from './help-pictures.js';

/** Help: one page a task, short, with a picture. */
export function HelpPlace() {
  const { page: id } = useParams();
  const page = helpPages.find((one) => one.id === id);
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const found = helpPages.filter(({ title, words, steps }) =>
    [title, words, ...steps].join(' ').toLowerCase().includes(wanted),
  );
  return (
    <div className="flex h-full flex-col max-[760px]:h-auto">
      <AppBar crumbs={page ? [{ label: 'Help', to: '/help' }, { label: page.title }] : [{ label: 'Help' }]} />
      <div className="flex min-h-0 flex-1 max-[760px]:block">
        <nav
          aria-label="Help pages"
          className="w-[270px] shrink-0 overflow-y-auto border-e border-rule bg-paper py-3 max-[760px]:w-auto max-[760px]:border-b"
        >
          <div className="px-4 pb-2">
            <FindBox
              label="Find in the help"
              placeholder="What would you do?"
              value={find}
              width={236}
              onFind={setFind}
            />
          </div>
          <ul>
            {found.map(({ id: one, title }) => (
              <li key={one}>
                <Link
                  to={`/help/${one}`}
                  aria-current={one === id ? 'page' : undefined}
                  className="block border-s-[3px] border-transparent px-4 py-1.5 hover:bg-sunk aria-[current=page]:border-ivy aria-[current=page]:bg-ivy-soft aria-[current=page]:font-semibold"
                >
                  {title}
                </Link>
              </li>
            ))}
          </ul>
          {found.length === 0 && <p className="px-4 text-ink-2">No page about that yet.</p>}
          <p className="mt-4 px-4 text-[13px] text-ink-2">
            <kbd className="key-cap">Ctrl</kbd> <kbd className="key-cap">K</kbd> finds anything,{' '}
            <kbd className="key-cap">?</kbd> shows the keys.
          </p>
        </nav>
        <main className="min-w-0 flex-1 overflow-y-auto bg-raised px-8 py-6 max-[760px]:px-4">
          {page ? <Page page={page} /> : <Contents />}
        </main>
      </div>
    </div>
  );
}

function Page({ page: { title, steps, picture, shows } }: { page: HelpPage }) {
  return (
    <article className="max-w-[760px]">
      <h2 className="serif text-[27px] font-semibold">{title}</h2>
      <ol className="mt-3">
        {steps.map((step, i) => (
          <li key={step} className="flex gap-3 border-t border-rule py-2.5 text-[15.5px] leading-relaxed">
            <span className="serif w-[20px] shrink-0 text-[19px] leading-snug text-ivy">{i + 1}</span> {step}
          </li>
        ))}
      </ol>
      <figure className="mt-4 border border-rule-2 bg-paper p-1.5">
        <img
          src={helpPictures[picture]}
          alt={shows}
          loading="lazy"
          className="block h-auto w-full"
          width={1280}
          height={800}
        />
      </figure>
    </article>
  );
}

function Contents() {
  return (
    <ul className="grid max-w-[980px] grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-5">
      {helpPages.map(({ id, title, picture }) => (
        <li key={id}>
          <Link to={`/help/${id}`} className="block border border-rule-2 bg-paper p-1.5 hover:border-ink-3">
            <img
              src={helpPictures[picture]}
              alt=""
              loading="lazy"
              className="block h-auto w-full"
              width={1280}
              height={800}
            />
            <span className="serif block px-1.5 pt-2 pb-1 text-[17px] font-semibold">{title}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
}
