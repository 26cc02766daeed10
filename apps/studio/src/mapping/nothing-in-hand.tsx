/** In place of a mark in hand: how to begin, or what does not fit. */
export function NothingInHand({ notes, hasItems }: { notes: readonly string[]; hasItems: boolean }) {
  return (
    <section className="px-4 py-4">
      <h2 className="serif text-[19px] font-semibold">{hasItems ? 'Nothing in hand' : 'Begin with an item'}</h2>
      <p className="mt-1 text-ink-2">
        {hasItems
          ? 'Press something on the page, or take a row at the left.'
          : 'Press one of the posts on the page. All that are like it are found and outlined. Or take one of the lists at the left.'}
      </p>
      {hasItems && notes.length > 0 && (
        <>
          <h3 className="remark mt-4 text-[15.5px]">Does not fit</h3>
          <ul className="mt-1">
            {notes.map((note) => (
              <li key={note} className="border-t border-rule py-2 text-[13px] text-rust">
                {note}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}
