/** What a user can get wrong: a code for programs, a place (field, line, path) and a sentence for people. */
export interface Problem {
  code: string;
  place: string;
  sentence: string;
}

/** Either a value, or every problem that stood in its way. Exceptions are kept for bugs. */
export type Result<T> = { ok: true; value: T } | { ok: false; problems: Problem[] };

/** What came out right. */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** One problem: a code for tests, a sentence for people, and the place it is at. */
export const fail = (code: string, sentence: string, place = ''): Result<never> => ({
  ok: false,
  problems: [{ code, place, sentence }],
});

/** The same problems, told of another place. */
export const at = <T>(place: string, result: Result<T>): Result<T> =>
  result.ok ? result : { ok: false, problems: result.problems.map((problem) => ({ ...problem, place })) };

/** The first sentence of what is wrong; null where nothing is, or nothing was read. */
export const faultOf = (result: Result<unknown> | null | undefined): string | null =>
  result && !result.ok ? (result.problems[0]?.sentence ?? '') : null;

/** What is wrong at one place of what was read; null where nothing is. */
export const faultAt = (result: Result<unknown>, place: string): string | null =>
  result.ok ? null : (result.problems.find((problem) => problem.place === place)?.sentence ?? null);

/** What is wrong with a text that must not be blank. */
export const blankFault = (text: string, sentence: string): string | null =>
  text.trim() === '' ? sentence : null;

/** What a value becomes; problems stay as they are. */
export const map = <T, U>(result: Result<T>, to: (value: T) => U): Result<U> =>
  result.ok ? ok(to(result.value)) : result;

/** Goes on with a value where there is one, by something that can fail too. */
export const andThen = <T, U>(result: Result<T>, to: (value: T) => Result<U>): Result<U> =>
  result.ok ? to(result.value) : result;

/** The value, or another where there is none. */
export const valueOr = <T>(result: Result<T> | undefined, otherwise: T): T =>
  result?.ok ? result.value : otherwise;
