import { type ParseError, parse, printParseErrorCode } from 'jsonc-parser';
import { say } from '../../text/en/say/model';

/** Deepest that anything we read is nested; deeper text could only be made to break a reader. */
const DEEPEST = 64;

/** Why a text is no JSON that is read, with its place. */
export interface NoJson {
  readonly message: string;
  /** "line 3, column 7"; '' for the whole */
  readonly place: string;
}

/** What a parser wanted where it stopped. */
const WANTED: Readonly<Record<string, string>> = {
  PropertyNameExpected: 'a name in quotes was expected',
  ValueExpected: 'a value was expected',
  ColonExpected: 'a colon was expected',
  CommaExpected: 'a comma was expected',
  CloseBraceExpected: 'a closing brace was expected',
  CloseBracketExpected: 'a closing bracket was expected',
  EndOfFileExpected: say.endFileWasExpected,
  UnexpectedEndOfString: 'a text in quotes does not end',
  InvalidNumberFormat: say.numberNotWrittenJson,
  InvalidCommentToken: 'a comment stands where none is allowed',
  InvalidCharacter: 'a character stands where none is allowed',
  InvalidEscapeCharacter: say.textHasEscapeJson,
  InvalidUnicode: say.textHasEscapeJson,
};

/** Place of a character in a text, "line 3, column 7". */
export function placeInText(text: string, index: number): string {
  const before = text.slice(0, index);
  return `line ${before.split('\n').length}, column ${index - before.lastIndexOf('\n')}`;
}

/** Index of the first bracket that is nested too deep; −1 where none is. It walks, so that no depth can overflow it. */
function tooDeepAt(text: string): number {
  let depth = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i++) {
    const c = text.charCodeAt(i);
    if (quoted) {
      if (c === 92) i += 1;
      else if (c === 34) quoted = false;
    } else if (c === 34) quoted = true;
    else if (c === 123 || c === 91) {
      depth += 1;
      if (depth > DEEPEST) return i;
    } else if (c === 125 || c === 93) depth -= 1;
  }
  return -1;
}

/**
 * Reads JSON text of any origin. A byte-order mark before it is passed over.
 * @param expected what the text should have been, for the message
 */
export function readJson(text: string, expected: string): { readonly value: unknown } | NoJson {
  const own = text.startsWith('\uFEFF') ? text.slice(1) : text;
  if (own.trim() === '') return { message: say.fileEmptyWasExpected(expected), place: '' };
  const deep = tooDeepAt(own);
  if (deep >= 0) {
    return {
      message: say.fileNestedMoreThan(DEEPEST, expected),
      place: placeInText(own, deep),
    };
  }
  try {
    return { value: JSON.parse(own) };
  } catch {
    const errors: ParseError[] = [];
    parse(own, errors, { disallowComments: true, allowTrailingComma: false });
    const [first] = errors;
    const why = (first && WANTED[printParseErrorCode(first.error)]) ?? say.somethingNoValueStands;
    return {
      message: say.fileNotJsonWas(why, expected),
      place: placeInText(own, first?.offset ?? own.length),
    };
  }
}
