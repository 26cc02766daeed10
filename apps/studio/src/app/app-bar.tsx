import { CircleQuestionMark, Moon, Sun } from 'lucide-react';
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
        <span className="serif text-[19px] font-bold whitespace-nowrap max-sm:sr-only">Ivy Lens</span>
      </Link>
      <span className="mx-1 h-5 w-px bg-rule" />
      <nav aria-label="You are here" className="flex min-w-0 items-center gap-2">
        {crumbs.map((crumb, i) => (
          <Fragment key={crumb.label}>
            {i > 0 && (
              <span className="text-rule-2 max-sm:hidden" aria-hidden="true">
                /
              </span>
            )}
            {crumb.to ? (
              <Link to={crumb.to} className={`truncate text-ink-2 hover:text-ink max-sm:sr-only`}>
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
        <Link to="/help" className="icon-button" aria-label="Help" title="Help">
          <CircleQuestionMark size={16} />
        </Link>
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
    <svg width="26" height="26" viewBox="0 0 32 32" aria-hidden="true" className="text-ivy">
      <path
        fill="none"
        stroke="currentColor"
        strokeWidth="2.4"
        strokeLinecap="round"
        d="M16 19.5c.2 4.4 1.5 7.6 4.5 10.5"
      />
      <path
        fill="currentColor"
        fillRule="evenodd"
        d="M16 1.6c2 2.6 3.2 5 3.9 7.5 2.6-1.3 5.3-1.7 8-1-.5 5.6-3.5 10.4-7.8 12.5-1.6.8-3.1.6-4.1-.5-1 1.1-2.5 1.3-4.1.5-4.3-2.1-7.3-6.9-7.8-12.5 2.7-.7 5.4-.3 8 1C12.8 6.6 14 4.2 16 1.6Zm0 7a4.3 4.3 0 1 0 0 8.6 4.3 4.3 0 0 0 0-8.6Z"
      />
    </svg>
  );
}
