/** How a report looks, on a screen and on paper. It stands in the page itself, which the server's policy allows by its hash. */
export const REPORT_STYLE = `
  @page { size: auto; margin: 12mm; }
  * { box-sizing: border-box; }
  body { margin: 0; padding: 14px; font: 11px/1.35 sans-serif; color: #20302b; background: #fff; font-variant-numeric: tabular-nums; }
  header { border-bottom: 2px solid #20302b; margin-bottom: 8px; display: flex; justify-content: space-between; align-items: baseline; gap: 12px; flex-wrap: wrap; }
  h1 { font-size: 19px; margin: 0; }
  main { columns: 2 300px; column-gap: 18px; }
  section { margin-bottom: 10px; }
  h2 { font-size: 13px; margin: 0 0 2px; break-after: avoid; }
  table { width: 100%; border-collapse: collapse; }
  tr { break-inside: avoid; }
  th { text-align: left; font-weight: normal; color: #56625c; }
  td, th { padding: 1.5px 4px 1.5px 0; border-bottom: 1px solid #d9d0c0; vertical-align: top; }
  .number { text-align: right; white-space: nowrap; padding-right: 6px; }
  .sum td { font-weight: bold; border-bottom: 1px solid #20302b; }
  @media print { body { padding: 0; font-size: 9px; } }
`;
