// Place by place: looked up once.
const { abs, floor, max, min, round, sqrt } = Math;

/** How far each place is from the background in colour: from the plane of colour through the rim, found twice, the second time without what is far off it. */
export function apartFromBackground(colours: Float32Array, columns: number, rows: number): Float32Array {
  const rim: number[] = [];
  const deep = max(2, round(0.025 * min(columns, rows)));
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      if (r >= deep && c >= deep && r < rows - deep && c < columns - deep) continue;
      if (colours[3 * (r * columns + c)] === colours[3 * (r * columns + c)]) rim.push(r * columns + c);
    }
  }
  const planes = [0, 1, 2].map((k) => {
    let own = rim;
    let plane = [0, 0, 0];
    for (let round = 0; round < 3; round++) {
      plane = planeThrough(own, colours, k, columns);
      const off = (i: number) => abs(colours[3 * i + k] - valueOf(plane, i, columns));
      const usual = own.map(off).sort((a, b) => a - b)[floor(own.length / 2)] ?? 0;
      own = rim.filter((i) => off(i) <= 4 * usual + 2);
    }
    return plane;
  });
  const out = new Float32Array(columns * rows);
  for (let i = 0; i < out.length; i++) {
    let sum = 0;
    for (let k = 0; k < 3; k++) sum += (colours[3 * i + k] - valueOf(planes[k], i, columns)) ** 2;
    // Beyond the picture there is background.
    out[i] = sum === sum ? sqrt(sum) : 0;
  }
  return out;
}

const valueOf = ([a, b, c]: readonly number[], i: number, columns: number) =>
  a + b * (i % columns) + c * floor(i / columns);

/** Value = a + b column + c row by least squares, about the middle of the places. */
export function planeThrough(places: readonly number[], colours: Float32Array, k: number, columns: number): number[] {
  const n = max(1, places.length);
  let [mx, my, mz] = [0, 0, 0];
  for (const i of places) {
    mx += (i % columns) / n;
    my += floor(i / columns) / n;
    mz += colours[3 * i + k] / n;
  }
  let [xx, xy, yy, xz, yz] = [0, 0, 0, 0, 0];
  for (const i of places) {
    const [x, y, z] = [(i % columns) - mx, floor(i / columns) - my, colours[3 * i + k] - mz];
    xx += x * x;
    xy += x * y;
    yy += y * y;
    xz += x * z;
    yz += y * z;
  }
  const whole = xx * yy - xy * xy;
  if (!(whole > 1e-9)) return [mz, 0, 0];
  const [b, c] = [(xz * yy - yz * xy) / whole, (yz * xx - xz * xy) / whole];
  return [mz - b * mx - c * my, b, c];
}
