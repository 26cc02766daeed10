/** Directives that stand in for one that is not there, the nearest first (Content Security Policy, level 3). */
const standIns: Record<string, readonly string[]> = {
  'script-src-elem': ['script-src-elem', 'script-src', 'default-src'],
  'style-src-elem': ['style-src-elem', 'style-src', 'default-src'],
  'connect-src': ['connect-src', 'default-src'],
};

/**
 * Whether policies let something in.
 * @param policies  of the page, all of which have to
 * @param origin  where it comes from; `'unsafe-inline'` for what stands in the page
 */
export function letsIn(
  policies: readonly string[],
  directive: 'script-src-elem' | 'style-src-elem' | 'connect-src',
  origin: string,
  page: string,
): boolean {
  return policies.every((policy) => {
    const said = directivesOf(policy);
    const name = standIns[directive]!.find((one) => said.has(one));
    if (name === undefined) return true;
    return said.get(name)!.some((source) => matches(source, origin, page));
  });
}

function directivesOf(policy: string): Map<string, string[]> {
  const found = new Map<string, string[]>();
  for (const part of policy.split(';')) {
    const [name, ...sources] = part.trim().split(/\s+/);
    // of two of one name the first holds
    if (name && !found.has(name.toLowerCase())) found.set(name.toLowerCase(), sources);
  }
  return found;
}

function matches(source: string, origin: string, page: string): boolean {
  if (origin.startsWith("'")) return source === origin;
  if (source === "'self'") return new URL(page).origin === origin;
  if (source === '*') return true;
  const wanted = new URL(origin);
  if (/^[a-z][a-z0-9+.-]*:$/i.test(source)) return source.toLowerCase() === wanted.protocol;
  const [, scheme, host = '', port] = /^(?:([a-z][a-z0-9+.-]*):\/\/)?([^:/]+)(?::(\*|\d+))?/i.exec(source) ?? [];
  if (scheme !== undefined && `${scheme}:` !== wanted.protocol && !(scheme === 'http' && wanted.protocol === 'https:'))
    return false;
  const own = wanted.port || (wanted.protocol === 'https:' ? '443' : '80');
  const asked = port ?? (scheme === 'https' || wanted.protocol === 'https:' ? '443' : '80');
  if (asked !== '*' && asked !== own) return false;
  return host.startsWith('*.') ? wanted.hostname.endsWith(host.slice(1)) : host.toLowerCase() === wanted.hostname;
}
