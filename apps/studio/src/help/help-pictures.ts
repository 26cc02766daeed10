import addresses from '../../../../docs/screenshots/addresses.png';
import findings from '../../../../docs/screenshots/bench-findings.png';
import why from '../../../../docs/screenshots/bench-why.png';
import bench from '../../../../docs/screenshots/bench.png';
import look from '../../../../docs/screenshots/look.png';
import publish from '../../../../docs/screenshots/publish.png';
import source from '../../../../docs/screenshots/source.png';
import terms from '../../../../docs/screenshots/terms.png';

/** Pictures of the help, made from the demo: addresses to load them from, by name. */
export const helpPictures = { addresses, bench, findings, look, publish, source, terms, why };
export type PictureName = keyof typeof helpPictures;
