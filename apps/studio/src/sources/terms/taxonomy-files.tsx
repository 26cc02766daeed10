import { Download, Upload } from 'lucide-react';
import { useRef } from 'react';
import { FileInput } from '../../shared/file-input.js';
import type { Shaping } from './use-shaping.js';

/** The terms as a file in SKOS, out and in: what comes in is one change, and is undone as one. */
export function TaxonomyFiles({ shaping }: { shaping: Shaping }) {
  const { slug, field, isBusy, bring } = shaping;
  const input = useRef<HTMLInputElement>(null);
  const at = `/api/v1/sources/${encodeURIComponent(slug)}/terms/${encodeURIComponent(field)}/export`;
  return (
    <span className="flex items-center gap-3 text-[13px]">
      <a className="act" href={`${at}?as=turtle`} download title="The terms as SKOS, in Turtle">
        <Download size={14} className="me-1" aria-hidden="true" /> Turtle
      </a>
      <a className="act" href={`${at}?as=jsonld`} download title="The terms as SKOS, in JSON-LD">
        <Download size={14} className="me-1" aria-hidden="true" /> JSON-LD
      </a>
      <button
        type="button"
        className="act"
        disabled={isBusy}
        title="Terms become as SKOS has them; what it does not know stays"
        onClick={() => input.current?.click()}
      >
        <Upload size={14} className="me-1" aria-hidden="true" /> Bring SKOS in
      </button>
      <FileInput
        input={input}
        label="File of SKOS"
        accept=".ttl,.jsonld,.json,.rdf,.xml"
        onFiles={([file]) => void bring(file!)}
      />
    </span>
  );
}
