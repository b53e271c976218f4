export interface Timed {
  what: string;
  ms: number;
  note?: string;
}

/** Prints times with each one's ratio to the first. */
export function ratioTable(rows: readonly Timed[]): void {
  const base = rows[0].ms;
  const width = Math.max(...rows.map((row) => row.what.length));
  for (const { what, ms, note } of rows) {
    const ratio = ms / base;
    console.log(
      `${what.padEnd(width)}  ${ms.toFixed(3).padStart(9)} ms  x ${ratio.toFixed(ratio < 10 ? 2 : 0).padStart(5)}${note ? `  ${note}` : ''}`,
    );
  }
  console.log('');
}
