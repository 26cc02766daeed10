import { CircleQuestionMark } from 'lucide-react';
import { Link } from 'react-router';
import { helpPages } from '../help/help-pages.js';

/** Leads to the help about what is done here. */
export function HelpLink({ page }: { page: string }) {
  const title = helpPages.find(({ id }) => id === page)?.title ?? 'Help';
  return (
    <Link
      to={`/help/${page}`}
      className="icon-button !size-[24px] shrink-0"
      aria-label={`Help: ${title}`}
      title={title}
    >
      <CircleQuestionMark size={15} />
    </Link>
  );
}
