import { parseCount } from '@/core/units';
import { readMeasure, scopeOf, homeOf, type Measure, type Project } from '@/core/project';
import type { Result } from '@/core/result';

/** Reads a length or a formula for one, where it stands: for LengthField. */
export const measureReader =
  (project: Project, groupId: string | null) =>
  (text: string): Result<Measure> =>
    readMeasure(text, project, groupId);

/** A count as it was typed: a whole number, or a formula and what it comes to. */
export interface ReadCount {
  value: number;
  /** Absent for a plain number. */
  formula?: string;
}

/** Reads a count or a formula for one, where it stands. */
export const countReader =
  (project: Project, groupId: string | null, least: 0 | 1 = 1) =>
  (text: string): Result<ReadCount> => {
    const plain = parseCount(text);
    if (plain.ok) return { ok: true, value: { value: plain.value } };
    if (least === 0 && text.trim() === '0') return { ok: true, value: { value: 0 } };
    if (!/[\p{L}(*/+]/u.test(text)) return plain;
    const value = scopeOf(project)(homeOf(project, groupId)).count(text);
    return value.ok ? { ok: true, value: { value: value.value, formula: text.trim() } } : value;
  };

/** Degrees off square, or a formula for them. */
export const angleReader =
  (project: Project, groupId: string | null) =>
  (text: string): Result<{ value: number; formula?: string }> => {
    const isPlain = /^[\d.,]+ ?°?$/.test(text.trim());
    const value = scopeOf(project)(homeOf(project, groupId)).angle(text.replace('°', ''));
    if (!value.ok) return value;
    return { ok: true, value: { value: value.value, ...(isPlain ? {} : { formula: text.trim() }) } };
  };
