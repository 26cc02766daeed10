/** Every attribute of a page's own markup that is read or set, without `data-ivy-`; `docs/own-markup.md` says what each does. */
export const attributes = (
  'list item group field from split type size prefix for reads as was search match end sort order apply clear ' +
  'number count total chips text remove empty pager more facet label kind name on none state drawn waits'
).split(' ');
