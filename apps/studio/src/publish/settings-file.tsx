import { checkLens, readLens, type Field, type Lens } from '@ivy/core';
import { useRef, useState } from 'react';
import { FileInput } from '../shared/file-input.js';

interface Props {
  slug: string;
  draft: Lens;
  /** Of the source, which the settings must know their way in. */
  fields: readonly Field[];
  /** Settings were read from a file, and could be the draft. */
  onRead: (config: Lens, file: string) => void;
}

/** What is wrong with a file, and where in it. */
interface Refused {
  words: string;
  where: readonly string[];
}

/** Bytes of a file of settings that are read: a lens comes to some ten thousand. */
const mostBytes = 4_000_000;
/** Faults that are named. */
const mostNamed = 6;

/** The draft as a file, out and in. */
export function SettingsFile({ slug, draft, fields, onRead }: Props) {
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<Refused | null>(null);
  const take = async (file: File) => {
    setRefused(null);
    const read = file.size > mostBytes ? tooLarge : settingsOf(await file.text(), fields);
    if ('config' in read) onRead(read.config, file.name);
    else setRefused({ ...read, words: `${file.name} ${read.words}` });
  };
  return (
    <section className="section" aria-label="The settings as a file">
      <h2 className="serif text-[16.5px] font-semibold">The settings as a file</h2>
      <p className="mt-0.5 text-[13px] text-ink-2">
        All of the draft as JSON: a lens made with it is the same.{' '}
        <a className="link" download={`${slug}.json`} href={configHref(draft)}>
          Download it
        </a>
        , or{' '}
        <button type="button" className="link" onClick={() => input.current?.click()}>
          read one in
        </button>
        .
      </p>
      <FileInput
        {...{ input }}
        label="A file of settings"
        accept=".json,application/json"
        onFiles={([file]) => void take(file!)}
      />
      <div role="alert">
        {refused && (
          <div className="mt-2 rounded-[3px] bg-bad-soft px-3 py-2 text-[13px] text-bad">
            {refused.words}
            <ul className="mono text-[12px] [overflow-wrap:anywhere] text-ink">
              {refused.where.slice(0, mostNamed).map((one) => (
                <li key={one}>{one}</li>
              ))}
              {refused.where.length > mostNamed && <li>and {refused.where.length - mostNamed} more</li>}
            </ul>
          </div>
        )}
      </div>
    </section>
  );
}

const tooLarge: Refused = { words: 'is larger than settings are.', where: [] };

/** Reads settings, and holds them to the fields of the source. */
function settingsOf(text: string, fields: readonly Field[]): { config: Lens } | Refused {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return { words: 'is no JSON. Choose a file that was downloaded here.', where: [] };
  }
  const read = readLens(json);
  const problems = read.ok ? checkLens(read.value, fields) : read.problems;
  if (read.ok && problems.length === 0) return { config: read.value };
  return {
    words: 'has settings that can’t work here:',
    where: problems.map(({ pointer, message }) => `${pointer} ${message}`),
  };
}

/** A config as a file, written so that people can read it. */
function configHref(config: Lens): string {
  return `data:application/json;charset=utf-8,${encodeURIComponent(`${JSON.stringify(config, null, 2)}\n`)}`;
}
