import type { PostList, SourceView } from '@ivy/client';
import { cellText } from '@ivy/core';
import { X } from 'lucide-react';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { useApi } from '../../api/api.js';
import { Failed, Loading } from '../../shared/states.js';

interface Props {
  source: SourceView;
  id: string;
  onClose: () => void;
}

/** One post in full: each value as it came beside what is read, and the lenses it is in. */
export function PostSheet({ source, id, onClose }: Props) {
  const { slug } = source;
  const query = `ids=${encodeURIComponent(encodeURIComponent(id))}`;
  const { data, error, mutate: again } = useApi('/api/v1/sources/{slug}/posts', { slug }, {}, query);
  const post = data?.items[0];
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus(), [post?.id]);
  return (
    <aside
      aria-label="The post in hand"
      className="flex w-full shrink-0 flex-col overflow-y-auto border-s border-rule bg-paper lg:w-[480px]"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <div className="flex items-start gap-3 border-b border-rule px-4 py-3">
        <h2 ref={heading} tabIndex={-1} className="serif min-w-0 flex-1 text-[19px] font-semibold outline-none">
          {post?.title ?? id}
          <span className="mono block text-[12.5px] font-normal text-ink-3">{id}</span>
        </h2>
        <button type="button" className="icon-button" aria-label="Close the post" onClick={onClose}>
          <X size={16} />
        </button>
      </div>
      {error ? (
        <Failed error={error} retry={() => void again()} />
      ) : !data ? (
        <Loading words="Fetching the post" />
      ) : !post ? (
        <p className="remark p-5 text-ink-2">There is no such post any more.</p>
      ) : (
        <>
          <table className="w-full table-fixed border-collapse">
            <thead>
              <tr className="remark border-b border-rule-2 text-start text-[14px] text-ink-2">
                <th scope="col" className="w-[28%] px-4 py-1 text-start font-normal">
                  field
                </th>
                <th scope="col" className="py-1 pe-3 text-start font-normal">
                  as it came
                </th>
                <th scope="col" className="py-1 pe-4 text-start font-normal">
                  as it is read
                </th>
              </tr>
            </thead>
            <tbody>
              {source.fields.map((field) => (
                <Value key={field.key} field={field} post={post} slug={slug} />
              ))}
            </tbody>
          </table>
          <InLenses source={source} id={id} />
        </>
      )}
    </aside>
  );
}

type Post = PostList['items'][number];

function Value({ field, post, slug }: { field: SourceView['fields'][number]; post: Post; slug: string }) {
  const came = cellText(post.raw[field.key]);
  const read = post.words[field.key];
  const isUnread = came !== '' && read === undefined && !field.left;
  return (
    <tr className={`border-b border-rule align-top ${isUnread ? 'bg-rust-soft text-rust' : ''}`}>
      <th scope="row" className="px-4 py-1.5 text-start font-normal">
        <Link
          to={`/sources/${slug}/fields/${encodeURIComponent(field.key)}`}
          className="mono text-[12.5px] break-words text-ink-2 hover:text-ivy"
        >
          {field.key}
        </Link>
      </th>
      <td className="mono py-1.5 pe-3 text-[12.5px] break-words">{came || <i className="text-ink-3">nothing</i>}</td>
      <td className="py-1.5 pe-4 break-words">
        {field.left ? <i className="text-ink-3">left out</i> : (read ?? (isUnread ? 'not read' : ''))}
      </td>
    </tr>
  );
}

/** Which lenses of the source have the post, and which leave it out. */
function InLenses({ source, id }: { source: SourceView; id: string }) {
  const { data = [] } = useApi('/api/v1/lenses', {});
  const own = data.filter((lens) => lens.source === source.slug);
  if (own.length === 0) return null;
  return (
    <section className="px-4 py-3">
      <h3 className="serif text-[16px] font-semibold">Lenses</h3>
      <ul>
        {own.map((lens) => (
          <InLens key={lens.slug} slug={lens.slug} name={lens.name} id={id} />
        ))}
      </ul>
    </section>
  );
}

function InLens({ slug, name, id }: { slug: string; name: string; id: string }) {
  const { data } = useApi('/api/v1/lenses/{slug}/draft/why/{postId}', { slug, postId: id });
  return (
    <li className="flex justify-between gap-3 py-1">
      <Link to={`/lenses/${slug}`} className="link truncate">
        {name}
      </Link>
      <span className={data && !data.passes ? 'text-rust' : 'text-ink-2'}>
        {!data ? '…' : data.passes ? 'has it' : 'leaves it out'}
      </span>
    </li>
  );
}
