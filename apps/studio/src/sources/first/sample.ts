/** A small table with faults that one meets in every other file: a term spelt twice, days that are none, an id that comes twice. */
const table = `id,title,summary,habitat,seen,minutes,open
s-01,"Terns over the bar","Noted by the wardens at Gull Stair.",Mudflat,2026-01-03,5,no
s-02,"Eels by lamplight","Noted by the wardens at Fenner Sluice.",Reedbed,2026-02-04,12,yes
s-03,"A heron that waits","Noted by the wardens at Withy Bank.",Lagoon,2026-03-05,19,yes
s-04,"Counting at slack water","Noted by the wardens at Lantern Hide.",mud flat,2026-04-06,26,no
s-05,"What the hide leaks","Noted by the wardens at Gull Stair.",Saltmarsh,2026-05-07,33,yes
s-06,"Reeds after the frost","Noted by the wardens at Fenner Sluice.",Reedbed,2026-06-08,40,yes
s-07,"Two otters and a dog","Noted by the wardens at Withy Bank.",Mudflat,2026-01-09,7,no
s-08,"The wall at Withy Bank","Noted by the wardens at Lantern Hide.",Reedbed,2026-02-30,14,yes
s-09,"Samphire, first cut","Noted by the wardens at Gull Stair.",Lagoon,2026-03-11,21,yes
s-10,"Nine swans on the lagoon","Noted by the wardens at Fenner Sluice.",mud flat,2026-04-12,28,no
s-11,"Moths at the lantern","Noted by the wardens at Withy Bank.",Saltmarsh,2026-05-13,35,yes
s-12,"A quiet hour","Noted by the wardens at Lantern Hide.",Reedbed,2026-06-14,42,yes
s-13,"Rings from the north","Noted by the wardens at Gull Stair.",Mudflat,2026-01-15,9,no
s-14,"Mud that sings","Noted by the wardens at Fenner Sluice.",Reedbed,2026-02-16,16,yes
s-15,"The sluice is stuck","Noted by the wardens at Withy Bank.",Lagoon,2026-03-17,23,yes
s-16,"Grebes in the mist","Noted by the wardens at Lantern Hide.",Mudflat,late May,30,no
s-17,"Bittern, heard only","Noted by the wardens at Gull Stair.",Saltmarsh,2026-05-19,37,yes
s-18,"Low water walk","Noted by the wardens at Fenner Sluice.",Reedbed,2026-06-20,44,yes
s-19,"Sixty redshank","Noted by the wardens at Withy Bank.",Mudflat,2026-01-21,11,no
s-20,"A kite above the marsh","Noted by the wardens at Lantern Hide.",Reedbed,2026-02-22,18,yes
s-12,"Egrets at dusk","Noted by the wardens at Gull Stair.",Lagoon,2026-03-23,25,yes
s-22,"The ferry heron","Noted by the wardens at Fenner Sluice.",Mudflat,2026-04-24,32,no
s-23,"Crabs under stones","Noted by the wardens at Withy Bank.",Saltmarsh,2026-05-25,39,yes
s-24,"Last count of the year","Noted by the wardens at Lantern Hide.",Reedbed,2026-06-26,6,yes
`;

/** The sample as a file, as if one had chosen it. */
export function sampleFile(): File {
  return new File([table], 'estuary-sample.csv', { type: 'text/csv' });
}
