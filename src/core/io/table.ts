import Papa from 'papaparse';
import type { Problem, Result } from '../result';

/** One record of a CSV file: the line on which it begins, and its cells by column. */
export interface TableRow {
  line: number;
  cells: Record<string, string>;
}

/** A table that was read: its columns and rows, each with its line in the file. */
export interface Table {
  columns: string[];
  rows: TableRow[];
}

/** What a sheet would run as a formula begins so; a plain number is none. */
const RUNS = /^'*[=+\-@\t\r]/;
const NUMBER = /^[-+]?[\d.,]+ ?%?$/;

/** A cell as it is written: an apostrophe before what a sheet would run. */
const guarded = (cell: string): string => (RUNS.test(cell) && !NUMBER.test(cell) ? `'${cell}` : cell);

/** A cell as it was before it was guarded. */
const unguarded = (cell: string): string =>
  cell.startsWith("'") && RUNS.test(cell) && !NUMBER.test(cell.slice(1)) ? cell.slice(1) : cell;

/** A fault of a file, placed as `parts.csv:7: length`. */
export const fileProblem = (file: string, line: number, column: string, sentence: string): Problem => ({
  code: 'file',
  place: column === '' ? `${file}:${line}` : `${file}:${line}: ${column}`,
  sentence,
});

/** Rows that a file may have: beyond what reading and planning hold their time and memory for (docs/reliability.md). */
const MAX_ROWS = 200_000;

const lineCount = (text: string): number => {
  let count = 1;
  for (let at = text.indexOf('\n'); at >= 0 && at < text.length - 1; at = text.indexOf('\n', at + 1)) count++;
  return count;
};

/**
 * Reads RFC 4180 text with a header row. A byte-order mark, CRLF, quoted line breaks and `;` as separator are
 * accepted, blank lines skipped. The header is line 1; known columns are found without regard to case.
 * `columnOf` gives a heading of a foreign sheet the column it stands for.
 */
export const readTable = (
  text: string,
  file: string,
  known: readonly string[],
  required: readonly string[],
  columnOf: (heading: string) => string = (heading) =>
    known.find((column) => column === heading.toLowerCase()) ?? heading,
): Result<Table> => {
  const plain = text.replace(/^\uFEFF/, '');
  const lines = lineCount(plain);
  if (lines > MAX_ROWS + 1)
    return {
      ok: false,
      problems: [
        fileProblem(
          file,
          MAX_ROWS + 2,
          '',
          `there are about ${lines - 1} rows, and a file may have ${MAX_ROWS}; leave out what is old, or part it into several`,
        ),
      ],
    };
  const problems: Problem[] = [];
  const records: { line: number; cells: string[] }[] = [];
  const lineAt = lineCounter(plain);
  let start = 0;
  Papa.parse<string[]>(plain, {
    delimiter: separatorOf(plain),
    step: ({ data, errors, meta }) => {
      const line = lineAt(start);
      for (const { type } of errors)
        if (type === 'Quotes')
          problems.push(
            fileProblem(file, line, '', 'a quotation mark is opened or closed in the wrong place'),
          );
      if (data.some((cell) => cell.trim() !== ''))
        records.push({ line, cells: data.map((cell) => unguarded(cell.trim())) });
      start = meta.cursor;
    },
  });
  const [header, ...body] = records;
  if (!header)
    return {
      ok: false,
      problems: [fileProblem(file, 1, '', 'the file is empty; its first line names the columns')],
    };
  const columns = header.cells.map(columnOf);
  for (const [index, column] of columns.entries())
    if (column !== '' && columns.indexOf(column) < index)
      problems.push(fileProblem(file, header.line, column, 'this column is there twice'));
  for (const column of required)
    if (!columns.includes(column))
      problems.push(fileProblem(file, header.line, column, 'this column is missing'));
  if (body.length === 0)
    problems.push(fileProblem(file, header.line, '', 'there is a header and nothing below it'));
  for (const { line, cells } of body)
    if (cells.slice(columns.length).some((cell) => cell !== ''))
      problems.push(
        fileProblem(
          file,
          line,
          '',
          `the row has ${cells.length} cells and the header names ${columns.length} columns`,
        ),
      );
  if (problems.length > 0) return { ok: false, problems };
  const rows = body.map(({ line, cells }) => ({
    line,
    cells: byColumn(cells),
  }));
  return { ok: true, value: { columns, rows } };

  function byColumn(cells: string[]): Record<string, string> {
    const row: Record<string, string> = {};
    for (const [index, column] of columns.entries()) row[column] = cells[index] ?? '';
    return row;
  }
};

const HEAD = 64_000;

/** The headings of a sheet and its first records, to see what is in it. */
export const readHead = (text: string, records: number): { headings: string[]; first: string[][] } => {
  // Of a long file its beginning tells enough.
  const plain = text.slice(0, HEAD).replace(/^\uFEFF/, '');
  const { data } = Papa.parse<string[]>(plain, {
    delimiter: separatorOf(plain),
    skipEmptyLines: 'greedy',
    preview: records + 1,
  });
  const [headings = [], ...first] = data.map((cells) => cells.map((cell) => cell.trim()));
  return { headings, first };
};

/** Writes a table as RFC 4180 has it; what a sheet would run as a formula begins with an apostrophe, which `readTable` takes off. Unknown columns of the rows come last, in the order first met. */
export const writeTable = (known: readonly string[], rows: Record<string, string>[]): string => {
  const others = [...new Set(rows.flatMap((row) => Object.keys(row)))].filter(
    (column) => !known.includes(column),
  );
  const fields = [...known, ...others];
  return `${Papa.unparse({ fields, data: rows.map((row) => fields.map((column) => guarded(row[column] ?? ''))) }, { newline: '\r\n' })}\r\n`;
};

/** The cells of a row in columns that mean nothing here; undefined where there are none. */
export const unknownCells = (
  cells: Record<string, string>,
  known: readonly string[],
): Record<string, string> | undefined => {
  let others: Record<string, string> | undefined;
  for (const column in cells)
    if (column !== '' && cells[column] && !known.includes(column))
      (others ??= {})[column] = cells[column] ?? '';
  return others;
};

/** `;` where the header has more of them than commas. */
const separatorOf = (text: string): ',' | ';' => {
  const header = (/^(?:\s*\r?\n)*([^\r\n]*)/.exec(text)?.[1] ?? '').replace(/"[^"]*"/g, '');
  return header.split(';').length > header.split(',').length ? ';' : ',';
};

/** Tells the line of a place in the text, from 1, for places in ascending order; blank lines before a record are skipped. */
const lineCounter = (text: string): ((position: number) => number) => {
  let line = 1;
  let done = 0;
  return (position) => {
    for (; done < position; done++)
      if (text[done] === '\n' || (text[done] === '\r' && text[done + 1] !== '\n')) line++;
    return line;
  };
};
