import type { CheckFinding } from '@ivy/client';
import { useState } from 'react';
import { askCheck } from '../publish/ask-check.js';
import { PageForm } from '../publish/page-form.js';

/** Looks at a page the lens stands on for names that it uses itself. */
export function HostNames({ slug, onPrefix }: { slug: string; onPrefix: (prefix: string) => void }) {
  const [finding, setFinding] = useState<CheckFinding | null>(null);
  const look = async (page: string) => {
    setFinding(null);
    const findings = await askCheck(slug, page);
    setFinding(findings.find(({ code }) => code === 'parameters') ?? null);
  };
  return (
    <div className="mt-2.5 border-t border-rule pt-1">
      <PageForm
        isSmall
        label="A page it stands on"
        act="Look"
        lead={<span className="remark text-ink-2">names the site uses itself</span>}
        onLook={look}
      />
      <div aria-live="polite">
        {finding?.ok && <p className="mt-1.5 text-[13px] text-ivy">{finding.text}</p>}
        {finding && !finding.ok && (
          <p className="mt-1.5 flex flex-wrap items-center gap-2 bg-rust-soft px-2.5 py-1.5 text-[13px] text-rust">
            <b className="font-semibold">{finding.text}</b>
            <button type="button" className="button button-small" onClick={() => onPrefix('n-')}>
              <span className="mono">n-</span> before every name
            </button>
          </p>
        )}
      </div>
    </div>
  );
}
