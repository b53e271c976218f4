/** Clear text of ISO 10303-21: instances in the order they are said, each by its number. */
export class Part21 {
  private readonly lines: string[] = [];

  /** One instance, by its type and what stands in its brackets; its name. */
  add(type: string, inside: string): string {
    this.lines.push(`#${this.lines.length + 1}=${type}(${inside});`);
    return `#${this.lines.length}`;
  }

  /** One instance of several types at once. */
  addComplex(inside: string): string {
    this.lines.push(`#${this.lines.length + 1}=(${inside});`);
    return `#${this.lines.length}`;
  }

  /** The file: what it is of, by whose program; no date, so that the same board makes the same bytes. */
  text(name: string, description: string): string {
    return [
      'ISO-10303-21;',
      'HEADER;',
      `FILE_DESCRIPTION((${textOf(description)}),'2;1');`,
      `FILE_NAME(${textOf(name)},'',(''),(''),'June Tide','June Tide','');`,
      "FILE_SCHEMA(('AUTOMOTIVE_DESIGN { 1 0 10303 214 1 1 1 1 }'));",
      'ENDSEC;',
      'DATA;',
      ...this.lines,
      'ENDSEC;',
      'END-ISO-10303-21;',
      '',
    ].join('\n');
  }
}

/** A text as the standard writes it: quotes and backslashes doubled, other letters than ASCII by their UTF-16 numbers (6.4.3.3). */
export function textOf(text: string): string {
  const written = text
    .replaceAll('\\', '\\\\')
    .replaceAll("'", "''")
    .replace(/[^ -~]+/g, (run) => {
      const units = Array.from({ length: run.length }, (_, i) => run.charCodeAt(i).toString(16).toUpperCase());
      return `\\X2\\${units.map((unit) => unit.padStart(4, '0')).join('')}\\X0\\`;
    });
  return `'${written}'`;
}

/** A real number with as many digits as it has: with a point, an exponent by E. */
export function exactOf(value: number): string {
  const text = String(Object.is(value, -0) ? 0 : value).toUpperCase();
  if (text.includes('.')) return text;
  return text.includes('E') ? text.replace('E', '.E') : `${text}.`;
}

/** A length, mm, to 1e-7. */
export const realOf = (value: number): string => exactOf(Math.round(value * 1e7) / 1e7);

export const listOf = (items: readonly string[]): string => `(${items.join(',')})`;
