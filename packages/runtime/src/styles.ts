/** Where facets stand when a lens is wide: `data-wide` tells, as the elements measure it; a page without scripts goes by its own width. */
const besideCards = 'grid-template-columns:minmax(180px,256px) minmax(0,1fr)';
const aboveCards = 'display:grid;grid-template-columns:repeat(auto-fill,minmax(220px,1fr));gap:0 32px';

/*
 * Everything is in @layer ivy and inside :where(), so any plain rule of the page's own sheet wins without force.
 * Fonts are the page's. What a site most likely wants to change is a variable on ivy-lens.
 */
export const sheet = `@layer ivy {
:where(ivy-lens){display:block;min-height:60vh}
:where(:root){--ivy-ink:#1d2b2e;--ivy-ink-2:#55635f;--ivy-page:#fff;--ivy-rule:#d9e0db;--ivy-soft:#eef2ee;--ivy-line:#7c8d89;
--ivy-accent:#24404a;--ivy-on-accent:#fff;--ivy-chip:#fbeabf;--ivy-chip-ink:#4a3405;--ivy-radius:8px;--ivy-gap:24px}
:where(.ivy-frame,.ivy-frame *){box-sizing:border-box}
:where(.ivy-frame){color:var(--ivy-ink);display:grid;gap:24px 40px;grid-template-columns:minmax(0,1fr)}
:where(.ivy-frame button,.ivy-frame select,.ivy-frame input){font:inherit;color:inherit}
:where(.ivy-frame :focus-visible){outline:2px solid var(--ivy-accent);outline-offset:2px}
:where(.ivy-main:focus){outline:none}
:where(.ivy-frame ul,.ivy-frame ol){list-style:none;margin:0;padding:0}
:where(.ivy-side){display:none}
:where(.ivy-frame[data-plain] .ivy-side){display:block}
:where(.ivy-sheet){box-sizing:border-box;width:100%;max-width:560px;height:100%;max-height:100%;margin:0;margin-inline-start:auto;padding:0;border:0;background:var(--ivy-page);color:var(--ivy-ink);font:inherit}
:where(.ivy-sheet[open]){display:flex;flex-direction:column}
:where(.ivy-sheet)::backdrop{background:rgb(0 0 0/.45)}
:where(.ivy-sheet-head){display:flex;align-items:center;justify-content:space-between;padding:4px 8px 4px 20px;border-bottom:1px solid var(--ivy-rule);font-size:1.1em}
:where(.ivy-sheet-close){width:48px;height:48px;border:0;background:none;display:grid;place-items:center;cursor:pointer}
:where(.ivy-sheet-body){flex:1;overflow:auto;overscroll-behavior:contain;padding:16px 20px}
:where(.ivy-sheet-foot){padding:10px 20px;border-top:1px solid var(--ivy-rule)}
:where(.ivy-sheet-body .ivy-apply){display:none}
:where(.ivy-filters){display:inline-flex;align-items:center;gap:8px;min-height:44px;padding:0 16px;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);background:var(--ivy-page);font-weight:600;cursor:pointer;justify-self:start}
:where(.ivy-badge){min-width:22px;padding:1px 6px;border-radius:11px;background:var(--ivy-chip);color:var(--ivy-chip-ink);font-size:.85em;text-align:center}
:where(.ivy-show){display:block;width:100%;min-height:48px;border:0;border-radius:var(--ivy-radius);background:var(--ivy-accent);color:var(--ivy-on-accent);font-weight:600;cursor:pointer}
:where(.ivy-frame .ivy-show){color:var(--ivy-on-accent)}
:where(ivy-lens[data-wide] .ivy-frame[data-facets=side]){${besideCards}}
:where(ivy-lens[data-wide] .ivy-frame[data-facets=side] .ivy-side,ivy-lens[data-wide] .ivy-frame[data-facets=top] .ivy-side){display:block}
:where(ivy-lens[data-wide] .ivy-frame[data-facets=top] .ivy-side){${aboveCards}}
:where(ivy-lens[data-wide] .ivy-frame[data-facets=side] .ivy-filters,ivy-lens[data-wide] .ivy-frame[data-facets=top] .ivy-filters){display:none}
@media (min-width:680px){:where(.ivy-frame[data-plain][data-facets=side]){${besideCards}}:where(.ivy-frame[data-plain][data-facets=top] .ivy-side){${aboveCards}}}
:where(.ivy-apply){position:sticky;bottom:0;padding:12px 0;background:var(--ivy-page)}
:where(.ivy-facet){margin:0;padding:16px 0 14px;border:0;border-bottom:1px solid var(--ivy-rule);min-width:0}
:where(.ivy-facet:first-child){padding-top:0}
:where(.ivy-facet:last-of-type){border-bottom:0}
:where(.ivy-facet){position:relative}
:where(.ivy-facet-title){float:inline-start;width:100%;margin:0;padding:0;font-weight:650}
:where(.ivy-facet-body){clear:both;padding-top:6px}
:where(.ivy-frame [hidden]){display:none}
:where(.ivy-fold){display:flex;width:100%;align-items:center;justify-content:space-between;gap:8px;min-height:28px;padding:0;border:0;background:none;text-align:start;font-weight:650;cursor:pointer}
:where(.ivy-chevron){flex:none;width:8px;height:8px;margin:0 5px;border:solid var(--ivy-line);border-width:0 2px 2px 0;transform:translateY(-2px) rotate(45deg)}
:where(.ivy-fold[aria-expanded=true] .ivy-chevron){transform:translateY(2px) rotate(225deg)}
:where(.ivy-facet-clear){position:absolute;inset-block-start:14px;inset-inline-end:26px;width:32px;height:32px;border:0;background:none;display:grid;place-items:center;cursor:pointer;color:var(--ivy-ink-2)}
:where(.ivy-facet:first-child .ivy-facet-clear){inset-block-start:-2px}
:where(.ivy-find){margin-bottom:6px}
:where(.ivy-find-none){margin:4px 0;color:var(--ivy-ink-2)}
:where(.ivy-find-none:empty){display:none}
:where(.ivy-bad){margin:6px 0 0;color:var(--ivy-bad,#a3341d);font-size:.92em}
:where(.ivy-more-terms){margin:6px 0 0;color:var(--ivy-ink-2);font-size:.92em}
:where(.ivy-option){display:flex;align-items:center;padding-inline-start:calc(var(--ivy-depth,0) * 20px)}
:where(.ivy-option .ivy-tick){flex:1;min-width:0}
:where(.ivy-branch){flex:none;width:24px;height:24px;margin-inline:-4px 4px;padding:0;border:0;background:none;display:grid;place-items:center;cursor:pointer}
:where(span.ivy-branch){cursor:default}
:where(.ivy-branch .ivy-chevron){margin:0;transform:translateX(-1px) rotate(-45deg)}
:where([dir=rtl] .ivy-branch .ivy-chevron){transform:translateX(1px) rotate(135deg)}
:where(.ivy-branch[aria-expanded=true] .ivy-chevron){transform:translateY(-2px) rotate(45deg)}
@media (pointer:coarse){:where(.ivy-branch){width:44px;height:44px}:where(.ivy-fold){min-height:44px}:where(.ivy-facet-clear){width:44px;height:44px;inset-block-start:8px}}
:where(.ivy-link){display:flex;gap:8px;align-items:center;min-height:28px;color:inherit;text-underline-offset:3px}
:where(.ivy-link[aria-current=true]){font-weight:650;text-decoration-thickness:2px}
@media (pointer:coarse){:where(.ivy-link){min-height:44px}}
:where(.ivy-buttons[data-as=links]){flex-direction:column;gap:0}
:where(.ivy-buttons[data-row=scroll]){flex-flow:row nowrap;overflow-x:auto;scrollbar-width:thin;padding-bottom:6px}
:where(.ivy-buttons[data-row=scroll] > *){flex:none}
:where(.ivy-presets){margin-top:10px}
:where(.ivy-three){display:flex;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);overflow:hidden}
:where(.ivy-way-of){flex:1;position:relative;cursor:pointer;text-align:center}
:where(.ivy-way-of + .ivy-way-of){border-inline-start:1px solid var(--ivy-line)}
:where(.ivy-way-of span){display:block;padding:7px 8px}
:where(.ivy-way-of span .ivy-count){display:inline;padding:0;color:var(--ivy-ink-2)}
:where(.ivy-way-of input:checked + span,.ivy-way-of input:checked + span .ivy-count){background:var(--ivy-accent);color:var(--ivy-on-accent)}
:where(.ivy-way-of input:focus-visible + span){outline:2px solid var(--ivy-accent);outline-offset:-4px}
:where(.ivy-way-of input:checked:focus-visible + span){outline-color:var(--ivy-on-accent)}
@media (forced-colors:active){:where(.ivy-way-of input:checked + span){outline:2px solid Highlight;outline-offset:-3px}}
:where(.ivy-combo){position:relative}
:where(.ivy-picked){display:flex;flex-wrap:wrap;gap:6px}
:where(.ivy-frame .ivy-picked){margin-bottom:6px}
:where(.ivy-list){position:absolute;z-index:20;inset-inline:0;max-height:280px;overflow:auto;background:var(--ivy-page);border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);box-shadow:0 6px 20px rgb(0 0 0/.14)}
:where(.ivy-frame .ivy-list){margin-top:4px;padding:4px}
:where(.ivy-list-option){display:flex;gap:8px;min-height:34px;align-items:center;padding:0 8px;padding-inline-start:calc(28px + var(--ivy-depth,0) * 18px);border-radius:5px;cursor:pointer;position:relative}
@media (pointer:coarse){:where(.ivy-list-option){min-height:44px}}
:where(.ivy-list-option[data-active=true]){background:var(--ivy-soft);outline:2px solid var(--ivy-accent);outline-offset:-2px}
:where(.ivy-list-option[aria-selected=true])::before{content:"";position:absolute;inset-inline-start:10px;width:9px;height:5px;border:solid currentColor;border-width:0 0 2px 2px;transform:translateY(-2px) rotate(-45deg)}
:where(.ivy-list .ivy-count){color:var(--ivy-ink-2);font-variant-numeric:tabular-nums}
:where(.ivy-slider){position:relative;height:28px;margin:-15px -9px 8px}
@media (pointer:coarse){:where(.ivy-slider){height:44px;margin:-23px -9px 4px}}
:where(.ivy-track){position:absolute;inset-inline:9px;top:calc(50% - 1.5px);height:3px;border-radius:2px;background:var(--ivy-rule)}
:where(.ivy-track)::after{content:"";position:absolute;inset-block:0;inset-inline:var(--ivy-low) calc(100% - var(--ivy-high));background:var(--ivy-accent)}
:where(.ivy-thumb){appearance:none;position:absolute;inset:0;width:100%;height:100%;margin:0;background:none;pointer-events:none}
:where(.ivy-slider[data-low-on-top=true] .ivy-thumb[data-end=from]){z-index:1}
:where(.ivy-thumb)::-webkit-slider-runnable-track{background:none;height:100%}
:where(.ivy-thumb)::-webkit-slider-thumb{appearance:none;pointer-events:auto;width:18px;height:18px;margin-top:calc(14px - 9px);border:2px solid var(--ivy-accent);border-radius:50%;background:var(--ivy-page);cursor:grab}
@media (pointer:coarse){:where(.ivy-thumb)::-webkit-slider-thumb{width:28px;height:28px;margin-top:8px}}
:where(.ivy-thumb)::-moz-range-thumb{pointer-events:auto;width:14px;height:14px;border:2px solid var(--ivy-accent);border-radius:50%;background:var(--ivy-page);cursor:grab}
:where(.ivy-thumb:focus-visible){outline:none}
:where(.ivy-thumb:focus-visible)::-webkit-slider-thumb{outline:2px solid var(--ivy-accent);outline-offset:2px}
:where(.ivy-thumb:focus-visible)::-moz-range-thumb{outline:2px solid var(--ivy-accent);outline-offset:2px}
@media (forced-colors:active){:where(.ivy-thumb)::-webkit-slider-thumb{border-color:ButtonText;background:Canvas}:where(.ivy-track){background:ButtonText}}
:where(.ivy-tick){display:flex;align-items:center;gap:10px;min-height:28px;cursor:pointer}
@media (pointer:coarse){:where(.ivy-tick){min-height:44px}}
:where(.ivy-tick input){appearance:none;flex:none;width:18px;height:18px;margin:0;border:1.5px solid var(--ivy-line);border-radius:4px;background:var(--ivy-page);cursor:pointer;display:grid;place-content:center}
:where(.ivy-tick input[type=radio]){border-radius:50%}
:where(.ivy-tick input:checked,.ivy-tick input:indeterminate){background:var(--ivy-accent);border-color:var(--ivy-accent)}
:where(.ivy-tick input:checked)::before{content:"";width:9px;height:5px;border:solid var(--ivy-on-accent);border-width:0 0 2px 2px;transform:translateY(-1px) rotate(-45deg)}
:where(.ivy-tick input[type=radio]:checked)::before{width:8px;height:8px;border:0;border-radius:50%;background:var(--ivy-on-accent);transform:none}
:where(.ivy-tick input:indeterminate)::before{content:"";width:8px;height:2px;background:var(--ivy-on-accent)}
:where(.ivy-tick .ivy-switch){width:36px;height:20px;border-radius:10px;justify-content:start;padding:2px}
:where(.ivy-tick .ivy-switch)::before{content:"";width:13px;height:13px;border:0;border-radius:50%;background:var(--ivy-line);transform:none}
:where(.ivy-tick .ivy-switch:checked){justify-content:end}
:where(.ivy-tick .ivy-switch:checked)::before{width:13px;height:13px;border:0;background:var(--ivy-on-accent);transform:none}
@media (forced-colors:active){:where(.ivy-tick input){appearance:auto}}
:where(.ivy-tick input:checked + .ivy-label){font-weight:650}
:where(.ivy-label){flex:1;min-width:0;overflow-wrap:anywhere}
:where(.ivy-tick .ivy-count,.ivy-button .ivy-count){color:var(--ivy-ink-2);font-variant-numeric:tabular-nums}
:where(.ivy-muted){color:var(--ivy-ink-2)}
:where(.ivy-muted input){opacity:.6}
:where(.ivy-unseen){position:absolute;width:1px;height:1px;margin:-1px;overflow:hidden;clip-path:inset(50%);white-space:nowrap}
:where(.ivy-more,.ivy-clear){padding:4px 0;border:0;background:none;text-decoration:underline;text-underline-offset:3px;cursor:pointer;color:var(--ivy-ink-2)}
:where(.ivy-buttons){display:flex;flex-wrap:wrap;gap:8px}
:where(.ivy-button){min-height:34px;padding:0 14px;border:1px solid var(--ivy-line);border-radius:20px;background:none;cursor:pointer}
:where(a.ivy-button){display:inline-flex;align-items:center;color:inherit;text-decoration:none}
:where(.ivy-button[aria-pressed=true],.ivy-button[aria-current=true]){background:var(--ivy-accent);border-color:var(--ivy-accent)}
:where(.ivy-frame .ivy-button[aria-pressed=true],.ivy-frame .ivy-button[aria-current=true],.ivy-frame .ivy-button[aria-pressed=true] .ivy-count){color:var(--ivy-on-accent)}
:where(.ivy-buttons[data-as=letters]){display:grid;grid-template-columns:repeat(auto-fill,minmax(36px,1fr));gap:6px}
:where(.ivy-buttons[data-as=letters] .ivy-link){flex-direction:column;justify-content:center;gap:0;min-width:0;min-height:42px;padding:3px 1px;border:1px solid var(--ivy-line);border-radius:calc(var(--ivy-radius)/2);line-height:1.15;font-weight:650;text-decoration:none}
:where(.ivy-buttons[data-as=letters] .ivy-link:hover){background:var(--ivy-soft)}
:where(.ivy-buttons[data-as=letters] .ivy-link[data-long=true]){font-size:.8em}
:where(.ivy-buttons[data-as=letters] .ivy-muted){border-color:transparent;font-weight:400}
:where(.ivy-buttons[data-as=letters] .ivy-count){font-size:12px;font-weight:400;color:var(--ivy-ink-2);font-variant-numeric:tabular-nums}
:where(.ivy-buttons[data-as=letters] .ivy-link[aria-current=true]){background:var(--ivy-accent);border-color:var(--ivy-accent)}
:where(.ivy-frame .ivy-buttons[data-as=letters] .ivy-link[aria-current=true],.ivy-frame .ivy-buttons[data-as=letters] .ivy-link[aria-current=true] .ivy-count){color:var(--ivy-on-accent)}
@media (forced-colors:active){:where(.ivy-buttons[data-as=letters] .ivy-link[aria-current=true]){outline:2px solid Highlight}}
:where(.ivy-steps){display:flex;flex-wrap:wrap;gap:12px 18px}
:where(.ivy-step-list){flex:1 1 170px;min-width:0}
:where(.ivy-frame .ivy-step-title){margin:0 0 4px;font-size:.85em;color:var(--ivy-ink-2)}
:where(.ivy-step-options){max-height:236px;overflow:auto;padding:3px;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius)}
:where(.ivy-step){position:relative;display:flex;gap:8px;align-items:center;min-height:30px;padding:2px 8px;border-radius:calc(var(--ivy-radius) - 3px);cursor:pointer}
@media (pointer:coarse){:where(.ivy-step){min-height:44px}}
:where(.ivy-step:hover){background:var(--ivy-soft)}
:where(.ivy-step .ivy-count){color:var(--ivy-ink-2);font-variant-numeric:tabular-nums}
:where(.ivy-step[data-chosen=true]){background:var(--ivy-accent);font-weight:650}
:where(.ivy-frame .ivy-step[data-chosen=true],.ivy-frame .ivy-step[data-chosen=true] .ivy-count){color:var(--ivy-on-accent)}
:where(.ivy-step[data-any=true][data-chosen=true]){background:var(--ivy-soft)}
:where(.ivy-frame .ivy-step[data-any=true][data-chosen=true]){color:inherit}
:where(.ivy-step:has(:focus-visible)){outline:2px solid var(--ivy-accent);outline-offset:1px}
:where(.ivy-step[data-leads=true])::after{content:"";flex:none;width:6px;height:6px;border:solid currentColor;border-width:2px 2px 0 0;transform:rotate(45deg)}
:where([dir=rtl] .ivy-step[data-leads=true])::after{transform:rotate(-135deg)}
@media (forced-colors:active){:where(.ivy-step[data-chosen=true]){outline:2px solid Highlight;outline-offset:-2px}}
:where(.ivy-frame[data-plain] .ivy-select + .ivy-select){margin-top:8px}
:where(.ivy-frame[data-facets=top] .ivy-facet[data-kind=letters],.ivy-frame[data-facets=top] .ivy-facet[data-kind=steps]){grid-column:1/-1}
:where(.ivy-select,.ivy-sort select){width:100%;min-height:38px;padding:0 10px;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);background:var(--ivy-page)}
:where(.ivy-input){width:100%;min-width:0;min-height:38px;padding:0 10px;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);background:var(--ivy-page)}
:where(.ivy-search){position:relative}
:where(.ivy-search .ivy-input){padding-inline-end:38px}
:where(.ivy-search .ivy-input)::-webkit-search-cancel-button{display:none}
:where(.ivy-search-clear){position:absolute;inset-block:0;inset-inline-end:0;width:38px;border:0;background:none;cursor:pointer;display:grid;place-items:center}
:where(.ivy-histogram){display:flex;align-items:end;gap:2px;height:46px;margin-bottom:8px;border-bottom:1px solid var(--ivy-line)}
:where(.ivy-histogram span){flex:1;background:var(--ivy-rule);border-radius:1px 1px 0 0}
:where(.ivy-histogram .ivy-bar-in){background:var(--ivy-accent)}
:where(.ivy-ends){display:grid;grid-template-columns:1fr 1fr;gap:8px}
:where(.ivy-end){display:grid;gap:3px;min-width:0;position:relative}
:where(.ivy-end label){display:grid;gap:3px}
:where(.ivy-end [aria-invalid=true]){border-color:#b3261e;box-shadow:0 0 0 1px #b3261e}
:where(.ivy-end [inputmode=numeric]){padding-inline:8px 28px;font-size:.9em;font-variant-numeric:tabular-nums}
:where(.ivy-calendar){position:absolute;inset-block-end:0;inset-inline-end:0;width:28px;height:38px;padding:0;border:0;background:none;cursor:pointer;display:grid;place-items:center}
@media (pointer:coarse){:where(.ivy-calendar){width:44px;height:44px}}
:where(.ivy-calendar span){width:14px;height:13px;border:1.5px solid currentColor;border-top-width:4px;border-radius:2px;color:var(--ivy-ink-2)}
:where(.ivy-picker){position:absolute;inset-block-end:0;inset-inline-end:0;width:1px;height:1px;padding:0;border:0;opacity:0;pointer-events:none}
:where(.ivy-end span){font-size:.85em;color:var(--ivy-ink-2)}
:where(.ivy-notices p){margin:0 0 14px;color:var(--ivy-ink-2)}
:where(.ivy-mark){background:var(--ivy-chip);color:inherit;border-radius:2px}
@media (pointer:coarse){:where(.ivy-input){min-height:44px}}
:where(.ivy-head){display:grid;gap:14px;margin-bottom:16px}
:where(.ivy-chips){display:flex;flex-wrap:wrap;gap:8px;align-items:center}
:where(.ivy-chip){text-decoration:none;color:inherit;display:inline-flex;align-items:center;gap:8px;min-height:30px;padding:0 12px;border:0;border-radius:20px;background:var(--ivy-chip);cursor:pointer}
:where(.ivy-frame .ivy-chip,ivy-chips .ivy-chip){color:var(--ivy-chip-ink)}
@media (pointer:coarse){:where(.ivy-chip,.ivy-button,.ivy-page,.ivy-clear){min-height:44px}}
:where(.ivy-cross){width:9px;height:9px;background:linear-gradient(45deg,transparent 44%,currentColor 44% 56%,transparent 56%),linear-gradient(-45deg,transparent 44%,currentColor 44% 56%,transparent 56%)}
@media (forced-colors:active){:where(.ivy-cross)::before{content:"×"}}
:where(.ivy-bar){display:flex;flex-wrap:wrap;gap:8px 16px;align-items:baseline;justify-content:space-between}
:where(.ivy-count-line){margin:0;display:flex;gap:8px;align-items:baseline;color:var(--ivy-ink-2)}
:where(.ivy-count-line strong){font-size:1.35em;font-weight:650;color:var(--ivy-ink)}
:where(.ivy-sort){display:inline-flex;gap:8px;align-items:center;color:var(--ivy-ink-2)}
:where(.ivy-sort select){width:auto;border-color:transparent;background:none;padding-inline:4px;font-weight:600;color:var(--ivy-ink);cursor:pointer}
:where(.ivy-results-body){transition:opacity .15s}
:where(.ivy-results-body[data-waiting=true]){opacity:.55;transition-delay:.12s}
@media (prefers-reduced-motion:reduce){:where(.ivy-results-body){transition:none}}
:where(.ivy-cards,.ivy-loading){display:grid;gap:28px var(--ivy-gap);grid-template-columns:repeat(auto-fill,minmax(min(100%,max(220px,(100% - (var(--ivy-columns) - 1) * var(--ivy-gap)) / var(--ivy-columns))),1fr))}
:where(.ivy-card){position:relative;display:flex;flex-direction:column;min-width:0}
:where(.ivy-ribbon){position:absolute;z-index:1;inset-block-start:6px;inset-inline-end:6px;width:36px;height:36px;padding:0;border:0;border-radius:50%;background:var(--ivy-page);display:grid;place-items:center;cursor:pointer;opacity:.92}
@media (pointer:coarse){:where(.ivy-ribbon){width:44px;height:44px}}
:where(.ivy-ribbon span){width:12px;height:16px;background:var(--ivy-line);clip-path:polygon(0 0,100% 0,100% 100%,50% 74%,0 100%,0 0,2px 2px,2px 82%,50% 60%,calc(100% - 2px) 82%,calc(100% - 2px) 2px,2px 2px)}
:where(.ivy-ribbon[aria-pressed=true] span){background:var(--ivy-accent);clip-path:polygon(0 0,100% 0,100% 100%,50% 74%,0 100%)}
@media (forced-colors:active){:where(.ivy-ribbon){border:1px solid}:where(.ivy-ribbon span){background:ButtonText;forced-color-adjust:none}}
:where(.ivy-picture){aspect-ratio:2/1;border-radius:10px;overflow:hidden;background:var(--ivy-soft);margin-bottom:10px}
:where(.ivy-picture img){display:block;width:100%;height:100%;object-fit:cover}
:where(.ivy-card-text){display:grid;gap:5px;align-content:start}
:where(.ivy-title){margin:0;font-size:1.17em;line-height:1.25;font-weight:650}
:where(.ivy-title a){color:inherit;text-decoration:none}
:where(.ivy-title a:hover){text-decoration:underline;text-underline-offset:3px}
:where(.ivy-title a)::after{content:"";position:absolute;inset:0}
:where(.ivy-facts){margin:0;display:flex;flex-wrap:wrap;font-size:.9em;color:var(--ivy-ink-2);overflow:hidden}
:where(.ivy-facts span){position:relative;margin-inline-start:-18px;padding-inline-start:18px;margin-inline-end:18px}
:where(.ivy-facts span)::before{content:"•";position:absolute;inset-inline-start:7px}
:where(.ivy-summary){margin:0;color:var(--ivy-ink-2);font-size:.95em}
:where(.ivy-terms){display:flex;flex-wrap:wrap;gap:6px;margin-top:4px}
:where(.ivy-terms li){padding:1px 8px;border:1px solid var(--ivy-rule);border-radius:5px;background:var(--ivy-soft);font-size:.85em;color:var(--ivy-ink-2)}
:where(.ivy-pager){display:flex;flex-wrap:wrap;gap:4px 12px;align-items:center;margin-top:32px}
:where(.ivy-pager ol){display:flex;flex-wrap:wrap;gap:4px}
:where(.ivy-page){display:inline-flex;align-items:center;justify-content:center;min-width:34px;min-height:34px;padding:0 8px;border-radius:var(--ivy-radius);color:inherit;text-decoration:none}
:where(.ivy-page:hover){background:var(--ivy-soft)}
:where(.ivy-page[aria-current]){background:var(--ivy-accent);color:var(--ivy-on-accent);font-weight:650}
:where(.ivy-gap){min-width:24px;text-align:center;align-self:center}
:where(.ivy-empty,.ivy-failed){padding:28px 24px;border:1px dashed var(--ivy-line);border-radius:10px}
:where(.ivy-failed){margin-bottom:20px}
:where(.ivy-empty-title){margin:0 0 6px;font-size:1.17em;font-weight:650}
:where(.ivy-empty p,.ivy-failed p){margin:0 0 8px}
:where(.ivy-ways){display:flex;flex-wrap:wrap;gap:8px}
:where(.ivy-way,.ivy-retry){min-height:38px;padding:0 14px;border:1px solid var(--ivy-line);border-radius:var(--ivy-radius);background:var(--ivy-page);cursor:pointer}
:where(.ivy-ghost){aspect-ratio:4/3.6;border-radius:10px;background:var(--ivy-soft)}
:where(.ivy-ghost-facet){display:grid;gap:16px}
:where(.ivy-ghost-facet i){height:14px;width:78%;border-radius:4px;background:var(--ivy-soft)}
:where(.ivy-ghost-facet i:first-child){width:42%;margin-bottom:2px}
:where(.ivy-ghost-facet i:nth-child(even)){width:62%}
}`;

const done = new WeakSet<Document>();

/** Puts the sheet on a page, once. First in the page's order, so that its layer is the weakest. */
export function addStyles(page: Document): void {
  if (done.has(page)) return;
  done.add(page);
  const style = page.createElement('style');
  style.textContent = sheet;
  page.head.prepend(style);
}
