import { parameterNames, type Lens } from '@ivy/core';
import { Fragment } from 'react';
import { tokensOf } from '../bench/strip/address-tokens.js';
import { hueAttribute, Seed } from '../shared/seed.js';

/** An address as small tokens, each in its facet's hue; old names struck through. */
export function MiniTokens({
  lens,
  address,
  hues,
}: {
  lens: Lens;
  address: string;
  hues: ReadonlyMap<string, number>;
}) {
  const tokens = tokensOf(address, lens);
  const names = parameterNames(lens);
  if (tokens.length === 0) return <span className="mono text-[12.5px] text-ink-2">/ without a query</span>;
  return (
    <span className="mono flex flex-wrap items-center gap-x-1.5 gap-y-1 text-[12.5px] break-all">
      {tokens.map(({ name, value, facet }, i) => {
        const hue = facet === null ? undefined : hues.get(facet);
        const target = names.get(name);
        const isOld = typeof target === 'object' && target.moved;
        return (
          <Fragment key={`${i} ${name}`}>
            {i > 0 && <span className="text-ink-3">&amp;</span>}
            <span
              {...(hue ? hueAttribute(hue) : {})}
              className={`flex items-center gap-1 border-b-2 ${hue ? 'border-hue' : 'border-rule-2'}`}
            >
              {hue && <Seed hue={hue} size={10} />}
              <span>
                <bdi className={`${hue ? 'font-semibold text-hue-text' : 'text-ink-2'} ${isOld ? 'line-through' : ''}`}>
                  {name}
                </bdi>
                =<bdi>{value}</bdi>
              </span>
            </span>
          </Fragment>
        );
      })}
    </span>
  );
}
