import { optional } from '../../shape/shape.js';
import { common, fieldKey, type CommonConfig } from '../common.js';

/** What the config of every range has. */
export const range = {
  ...common,
  field: fieldKey,
  /** Where posts last: the field their span ends by. */
  endField: optional(fieldKey),
};

/** The same as read. */
export interface RangeConfig extends CommonConfig {
  field: string;
  endField?: string | undefined;
}
