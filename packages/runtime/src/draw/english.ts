/** What is said before any words of a lens are there. A lens's own words take their place. */
export const englishTexts = {
  failedTitle: 'The listing did not load',
  failedText: 'Check the connection, then try again.',
  retry: 'Try again',
  offline: 'There is no connection. What came last is still here.',
  goneTitle: 'This listing is not here',
  goneText: 'It may have moved. The rest of the page is as it was.',
};
