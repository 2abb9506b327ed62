import { z } from 'zod';

/*
 * What a schema refuses is said in a person's words, wherever a schema does not say it itself. Imported for its effect by
 * whatever declares schemas that people fill in.
 */
z.config({
  customError: (issue) => {
    const { code, input } = issue;
    switch (code) {
      case 'invalid_type':
        return input === undefined || input === null ? 'Missing.' : 'Not what is asked for here.';
      case 'invalid_value':
      case 'invalid_union':
        return input === undefined || input === '' ? 'Choose one.' : 'Not one of the choices.';
      case 'too_small':
        if (issue.origin === 'number') return `Cannot be less than ${issue.minimum}.`;
        if (issue.origin === 'string') return Number(issue.minimum) <= 1 ? 'Missing.' : `At least ${issue.minimum} letters.`;
        return `At least ${issue.minimum}.`;
      case 'too_big':
        if (issue.origin === 'number') return `Cannot be more than ${issue.maximum}.`;
        return issue.origin === 'string' ? `At most ${issue.maximum} letters.` : `At most ${issue.maximum}.`;
      case 'invalid_format':
        return 'Not in the form that is asked for.';
      default:
        return undefined;
    }
  },
});

/** Whether the words are in force: for tests, and to keep the import. */
export const refusesInWords = true;
