import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';

/** An address as it is asked for: one without a scheme is of the web, and on this machine of a server without a certificate. */
function wholeAddress(typed: string): string {
  if (/^[a-z][a-z0-9+.-]*:/i.test(typed) && !/^[\w.-]+:\d/.test(typed)) return typed;
  return `${/^(?:localhost|127\.|\[::1\])/i.test(typed) ? 'http' : 'https'}://${typed}`;
}

/** Where an address is given instead of a file: of a feed, an endpoint, a calendar or a page. */
export function AddressEntry() {
  const [address, setAddress] = useState('');
  const navigate = useNavigate();
  const go = (event: FormEvent) => {
    event.preventDefault();
    const bare = address.trim();
    if (bare === '') return;
    void navigate(`/look?address=${encodeURIComponent(wholeAddress(bare))}`);
  };
  return (
    <div className="mx-auto mt-3 w-full max-w-2xl">
      <form className="flex flex-wrap items-center gap-2" onSubmit={go}>
        <label htmlFor="posts-address" className="remark text-[15px] text-ink-2">
          Or from an address, kept fresh
        </label>
        <input
          id="posts-address"
          className="field mono h-[30px] min-w-[180px] flex-1 text-[12.5px]"
          placeholder="https://example.org/feed"
          inputMode="url"
          autoComplete="url"
          maxLength={2000}
          value={address}
          onChange={({ target }) => setAddress(target.value)}
        />
        <button type="submit" className="button" disabled={address.trim() === ''}>
          Look there
        </button>
      </form>
      <p className="mt-2 text-center text-[13px] text-ink-2">
        Or begin with{' '}
        <Link to="/from-page" className="link">
          a page that lists its posts
        </Link>
        , and filter it where it stands.
      </p>
    </div>
  );
}
