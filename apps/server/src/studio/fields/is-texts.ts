import { ValidateBy } from 'class-validator';

/** Entries of a table of texts, and characters of each, at most. */
const mostTexts = 200;
const longestText = 1000;

/** A table of texts by texts. */
export function IsTexts(): PropertyDecorator {
  return ValidateBy({
    name: 'isTexts',
    validator: {
      validate: (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.entries(value).length <= mostTexts &&
        Object.entries(value).every(
          ([key, text]) => key !== '' && typeof text === 'string' && text.length <= longestText,
        ),
      defaultMessage: () => `$property must be a table of up to ${mostTexts} texts`,
    },
  });
}
