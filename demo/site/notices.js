// what an address hides is not shown first
if (location.search) document.documentElement.dataset.ivyWaits = '';
