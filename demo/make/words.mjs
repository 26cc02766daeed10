// The made-up world of the Orrin Estuary Wardens: names, and the phrases their notes are put together from.

export const habitats = {
  Mudflat: 'Shore',
  'Shingle bank': 'Shore',
  'Wrack line': 'Shore',
  Reedbed: 'Wetland',
  Saltmarsh: 'Wetland',
  Lagoon: 'Wetland',
  'Hay meadow': 'Upland edge',
  Hedgerow: 'Upland edge',
};

/** Places, three deep: reach, stretch, spot; with how often each is written about. */
export const places = [
  ['Outer estuary', 'North Shore', 'Gannick Point', 8],
  ['Outer estuary', 'North Shore', 'Pellow Sands', 7],
  ['Outer estuary', 'North Shore', 'Lantern Spit', 6],
  ['Outer estuary', 'Harrow Bar', 'Bar Beacon', 3],
  ['Outer estuary', 'Harrow Bar', 'Seal Ledge', 3],
  ['Inner estuary', 'Reed side', 'Sallow Creek', 6],
  ['Inner estuary', 'Reed side', 'Withy Bank', 6],
  ['Inner estuary', 'Reed side', 'Osier Quay', 5],
  ['Inner estuary', 'South bank', 'Marrel Hythe', 5],
  ['Inner estuary', 'South bank', 'Fenner Sluice', 4],
  ['Inner estuary', 'South bank', 'Cobb Lane', 4],
  ['River head', 'Tidal river', 'Alder Weir', 2],
  ['River head', 'Tidal river', 'Mill Reach', 2],
];

/** Where each habitat is found, so that the notes hang together. */
export const habitatsAt = {
  'North Shore': ['Mudflat', 'Mudflat', 'Shingle bank', 'Shingle bank', 'Wrack line'],
  'Harrow Bar': ['Shingle bank', 'Mudflat', 'Wrack line'],
  'Reed side': ['Reedbed', 'Reedbed', 'Reedbed', 'Lagoon', 'Saltmarsh'],
  'South bank': ['Saltmarsh', 'Saltmarsh', 'Lagoon', 'Mudflat', 'Hay meadow'],
  'Tidal river': ['Hedgerow', 'Hay meadow', 'Reedbed'],
};

export const speciesAt = {
  Mudflat: ['Waders', 'Waders', 'Terns & gulls', 'Wildfowl'],
  'Shingle bank': ['Terns & gulls', 'Terns & gulls', 'Waders', 'Plants'],
  'Wrack line': ['Waders', 'Plants', 'Terns & gulls'],
  Reedbed: ['Raptors', 'Wildfowl', 'Terns & gulls', 'Eels', 'Moths'],
  Saltmarsh: ['Plants', 'Waders', 'Wildfowl', 'Raptors'],
  Lagoon: ['Wildfowl', 'Eels', 'Terns & gulls', 'Bats'],
  'Hay meadow': ['Moths', 'Plants', 'Bats', 'Raptors'],
  Hedgerow: ['Moths', 'Bats', 'Plants'],
};

export const kinds = [
  ['Survey', 40],
  ['Sighting', 32],
  ['How-to', 11],
  ['Notice', 10],
  ['Interview', 7],
];
export const tides = ['Low', 'Rising', 'High', 'Falling'];
export const observers = [
  'Mara Aldous',
  'Jo Penhale',
  'Ines Torrow',
  'Tam Okell',
  'Bram Vesey',
  'Lise Harding',
  'Odo Marsh',
  'Wren Callow',
  'Piet Sandys',
  'Nell Orchard',
  'Ada Quill',
  'Kit Lorimer',
  'Saba Renn',
  'Hob Tarrant',
  'Una Fell',
  'Ezra Pike',
  'Dot Winslow',
  'Ravi Storr',
  'Gwen Ostler',
];

/** What one calls members of a group, in the plural. */
export const names = {
  'Terns & gulls': ['little terns', 'common terns', 'sandwich terns', 'black-headed gulls', 'herring gulls'],
  Waders: ['curlew', 'redshank', 'dunlin', 'oystercatchers', 'grey plover', 'knot'],
  Raptors: ['marsh harriers', 'merlins', 'short-eared owls', 'kestrels', 'ospreys'],
  Bats: ['pipistrelles', 'noctules', 'Daubenton’s bats', 'brown long-eared bats'],
  Moths: ['hawk-moths', 'wainscots', 'tiger moths', 'footmen', 'ghost moths'],
  Eels: ['glass eels', 'yellow eels', 'silver eels', 'elvers'],
  Wildfowl: ['wigeon', 'teal', 'shelduck', 'brent geese', 'pintail'],
  Plants: ['sea lavender', 'samphire', 'sea kale', 'thrift', 'horned poppies', 'eelgrass'],
};

/** Titles by kind. {s} is a species, {S} the same with a capital, {p} a place, {h} a habitat, {n} a number in words, {m} a month, {o} a first name. */
export const titles = {
  Survey: [
    '{S} at {p}, visit {n}',
    'Counting {s} on the {h}',
    '{p} transect, week {w}',
    '{S}: the {m} count',
    'What {n} visits to {p} add up to',
    '{S} along the {h}, plots one to {n}',
    'Dusk count at {p}',
    'First full count of {s} this {season}',
    'Where the {s} went in {m}',
    '{p}: {s} by the quarter hour',
  ],
  Sighting: [
    '{S} over {p}',
    '{N} {s} before breakfast',
    'A quiet hour with {s}',
    '{S} back at {p}',
    'Late {s} on the {h}',
    '{N} {s} and a fox',
    'From the hide: {s} in {m}',
    '{S}, and a long walk home',
    'Through the mist at {p}',
    'An early start, {n} {s}',
  ],
  'How-to': [
    'How to count {s} against the light',
    'Telling {s} apart at {p}',
    'Walking the {h} without leaving a mark',
    'Reading the tide at {p}',
    'A pencil, a tin, and {s}',
    'Keeping a wet notebook at {p}',
    'How to look for {s} after dark',
    'Packing for {p} in {m}',
  ],
  Notice: [
    'Path closed at {p} until {m}',
    'Rope line goes back round the {h}',
    'New boards in the hide at {p}',
    'Keep dogs off the {h} in {m}',
    'Parking at {p}: what changes',
    'Work party at {p}',
    'Slipway shut for repairs at {p}',
  ],
  Interview: [
    '“You learn the {h} with your feet”',
    '{o} on {n} winters of {s}',
    '“I count what I see, not what I hoped”',
    'Tea with {o} at {p}',
    '“{S} are never late, we are early”',
  ],
};

export const summaries = {
  Survey: [
    '{N} birds or none: the {m} figures for {p}, with the gaps left in.',
    'Up a little on last year at {p}. The {h} held most of them.',
    'We walked {n} plots in {w} minutes each and counted twice.',
    'The lowest count since the tide gauge moved. Nobody is worried yet.',
    'Most of the {s} fed within sight of the old posts.',
    'Full sheet and map at the office. Here are the parts worth reading.',
  ],
  Sighting: [
    'They came low along the cut at seven, and were gone by ten past.',
    '{N} on the {h}, one of them ringed. The wind did the rest.',
    'Seen from the hide at {p}, pencil in one hand, flask in the other.',
    'Not what we went out for, which is how it usually goes.',
    'The light was poor and the {s} did not care.',
    'Three of us agree on the number. The fourth had sand in the glass.',
  ],
  'How-to': [
    'Stand with the sun behind you, count the gaps, and always count twice.',
    'What we tell every new warden on the first morning, written down at last.',
    'A short list, a long stick, and when to turn back.',
    'It takes one tide to learn and a winter to do well.',
  ],
  Notice: [
    'Please keep seaward of the orange rope until the end of {m}.',
    'The work takes {n} days if the weather holds. Use the upper path.',
    'Tools and tea are there. Bring boots and something dry.',
    'We will put a new date here as soon as there is one.',
  ],
  Interview: [
    '{o} has walked the low-water line for {n} years and still gets wet.',
    'On patience, bad maps, and why the {s} come back.',
    'A long talk in a small hide, with the door open.',
  ],
};

export const numbers = [
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];
export const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
