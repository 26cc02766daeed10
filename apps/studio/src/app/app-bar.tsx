import { Moon, Sun } from 'lucide-react';
import { Fragment, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useTheme } from './theme.js';

interface Crumb {
  label: string;
  to?: string;
}

/** The bar at the top of every place: where one is, and what one can do there. */
export function AppBar({ crumbs, children }: { crumbs: readonly Crumb[]; children?: ReactNode }) {
  const [theme, flip] = useTheme();
  return (
    <header className="flex h-[44px] shrink-0 items-center gap-3 border-b border-rule bg-paper px-3">
      <Link to="/sources" className="flex items-center gap-2 rounded-[3px] text-ink">
        <Mark />
        <span className="serif text-[19px] font-bold">Ivy Lens</span>
      </Link>
      <span className="mx-1 h-5 w-px bg-rule" />
      <nav aria-label="You are here" className="flex min-w-0 items-center gap-2">
        {crumbs.map((crumb, i) => (
          <Fragment key={crumb.label}>
            {i > 0 && (
              <span className="text-rule-2" aria-hidden="true">
                /
              </span>
            )}
            {crumb.to ? (
              <Link to={crumb.to} className="truncate text-ink-2 hover:text-ink">
                {crumb.label}
              </Link>
            ) : (
              <h1 className="serif truncate text-[16.5px] font-semibold">{crumb.label}</h1>
            )}
          </Fragment>
        ))}
      </nav>
      <div className="ms-auto flex items-center gap-2">
        {children}
        <button
          type="button"
          className="icon-button"
          onClick={flip}
          aria-label={theme === 'ivy' ? 'Go to night colours' : 'Go to day colours'}
          title={theme === 'ivy' ? 'Night' : 'Day'}
        >
          {theme === 'ivy' ? <Moon size={16} /> : <Sun size={16} />}
        </button>
      </div>
    </header>
  );
}

/** A lens with an ivy leaf under it. */
function Mark() {
  return (
    <svg width="24" height="24" viewBox="0 0 32 32" aria-hidden="true" className="text-ivy">
      <path fill="none" stroke="currentColor" strokeWidth="2.6" strokeLinecap="round" d="m20.5 21.5 7 7" />
      <circle cx="14" cy="15" r="9.4" fill="none" stroke="currentColor" strokeWidth="2.4" />
      <path
        fill="currentColor"
        d="M14 21.4c-1-3-4.9-3.4-5.7-6.9 2.1.3 2.6-.4 2.2-2.7 2.4.4 2.9-1.3 3.5-3.6.6 2.3 1.1 4 3.5 3.6-.4 2.3.1 3 2.2 2.7-.8 3.5-4.7 3.9-5.7 6.9z"
      />
    </svg>
  );
}
