import { fail, ok, type Result } from '@/core/result';

/** Dearer than this nobody fears, in percent. */
const MAX_PERCENT = 1000;

/** `10`, `-15 %`, `12,5` as a share: 0.1. Above -100 %, at most ten times as much more. */
export const readShare = (text: string): Result<number> => {
  const [, number] = /^\s*([+-]?\d+(?:[.,]\d+)?)\s*%?\s*$/.exec(text) ?? [];
  const percent = Number(number?.replace(',', '.'));
  return number === undefined || percent <= -100 || percent > MAX_PERCENT
    ? fail('share', `Write a percentage above -100 and up to ${MAX_PERCENT}, such as 10 or -15.`)
    : ok(percent / 100);
};
