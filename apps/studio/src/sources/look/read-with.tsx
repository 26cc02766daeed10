import type { LookView } from '@ivy/client';
import type { ReadSettings } from './use-look.js';

type Options = LookView['options'];
type Format = LookView['format'];

/** Formats by what people call them. */
export const formatWords: Readonly<Record<Format, string>> = {
  csv: 'CSV',
  tsv: 'TSV',
  json: 'JSON',
  ndjson: 'NDJSON',
  jsonfeed: 'JSON Feed',
  rss: 'RSS',
  atom: 'Atom',
  markdown: 'Markdown',
  html: 'page (HTML)',
  ics: 'iCalendar',
  xlsx: 'workbook (XLSX)',
};

const encodingWords: Readonly<Record<NonNullable<Options['encoding']>, string>> = {
  'utf-8': 'UTF-8',
  'utf-16le': 'UTF-16',
  'utf-16be': 'UTF-16, big end first',
  'windows-1250': 'Windows-1250',
  'windows-1251': 'Windows-1251',
  'windows-1252': 'Windows-1252',
  macintosh: 'MacRoman',
};

const delimiterWords = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar |' } as const;
const quoteWords = { '"': 'double "', "'": 'single ’' } as const;

interface Props {
  look: LookView;
  settings: ReadSettings;
  onChange: (settings: ReadSettings) => void;
}

/** How it is read, as tokens that are said otherwise by a press: what was found stands in each. */
export function ReadWith({ look, settings, onChange }: Props) {
  const { format, options, lists } = look;
  const say = (more: Options) => onChange({ ...settings, options: { ...settings.options, ...more } });
  const isTable = format === 'csv' || format === 'tsv';
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1.5" role="group" aria-label="Read with">
      <span className="remark text-ink-2">read as</span>
      <Token
        name="format"
        value={format}
        words={formatWords}
        onPick={(picked) => onChange({ format: picked as Format, options: {} })}
      />
      {isTable && (
        <>
          <Token
            name="cells"
            value={options.delimiter ?? ','}
            words={delimiterWords}
            onPick={(delimiter) => say({ delimiter: delimiter as NonNullable<Options['delimiter']> })}
          />
          <Token
            name="quotes"
            value={options.quote ?? '"'}
            words={quoteWords}
            onPick={(quote) => say({ quote: quote as NonNullable<Options['quote']> })}
          />
          <Token
            name="text"
            value={options.encoding ?? 'utf-8'}
            words={encodingWords}
            onPick={(encoding) => say({ encoding: encoding as NonNullable<Options['encoding']> })}
          />
        </>
      )}
      {(isTable || format === 'xlsx') && (
        <Token
          name="names"
          value={options.header === false ? 'none' : String(options.skip ?? 0)}
          words={{ 0: 'row 1', 1: 'row 2', 2: 'row 3', 3: 'row 4', 4: 'row 5', none: 'in no row' }}
          onPick={(picked) => say(picked === 'none' ? { header: false } : { header: true, skip: Number(picked) })}
        />
      )}
      {format === 'json' && (lists.length > 1 || (options.path ?? '') !== '') && (
        <Token
          name="posts"
          value={options.path ?? ''}
          words={Object.fromEntries(
            (lists.length > 0 ? lists : [{ path: options.path ?? '', records: look.records }]).map(
              ({ path, records }) => [path, `${path || 'the whole'} (${records})`],
            ),
          )}
          onPick={(path) => say({ path })}
        />
      )}
      {format === 'markdown' && (
        <Token
          name="folders"
          value={options.folders === false ? 'no' : 'yes'}
          words={{ yes: 'as terms', no: 'left out' }}
          onPick={(picked) => say({ folders: picked === 'yes' })}
        />
      )}
      {format === 'ics' && (
        <Token
          name="ahead"
          value={String(options.months ?? 12)}
          words={{ 3: '3 months', 6: '6 months', 12: '12 months', 24: '2 years', 60: '5 years' }}
          onPick={(picked) => say({ months: Number(picked) })}
        />
      )}
    </div>
  );
}

/** One thing that is said: its name, and what it is, to be picked from what it could be. */
export function Token({
  name,
  value,
  words,
  onPick,
}: {
  name: string;
  value: string;
  words: Readonly<Record<string, string>>;
  onPick: (value: string) => void;
}) {
  return (
    <label className="mono inline-flex h-[30px] max-w-full items-center border-b-2 border-rule-2 text-[13px] focus-within:border-ivy hover:border-ink-3">
      <span className="text-ink-2">{name}=</span>
      <select
        className="min-h-[24px] max-w-[190px] truncate bg-transparent font-semibold"
        aria-label={name}
        value={value}
        onChange={({ target }) => onPick(target.value)}
      >
        {!(value in words) && <option value={value}>{value}</option>}
        {Object.entries(words).map(([key, text]) => (
          <option key={key} value={key}>
            {text}
          </option>
        ))}
      </select>
    </label>
  );
}
