// what an address hides is not shown first; whatever becomes of the script, the list is seen
if (location.search) {
  const page = document.documentElement.dataset;
  page.ivyWaits = '';
  setTimeout(() => delete page.ivyWaits, 3000);
}
