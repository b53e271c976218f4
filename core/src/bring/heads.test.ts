// What a file is, told from its head: scans and pictures, each kind as its standard has it.
import { describe, expect, it } from '@jest/globals';
import { pictureFileKind } from './photo/pictureFile.ts';
import { scanFileKind } from './scan/scanFile.ts';

describe('the head of a scan’s file', () => {
  const stl = (facets: number, size = 84 + 50 * facets) => {
    const head = new Uint8Array(Math.min(size, 400));
    new DataView(head.buffer).setUint32(80, facets, true);
    return scanFileKind(head, size);
  };
  const text = (of: string, size = of.length) => scanFileKind(new TextEncoder().encode(of), size);

  it('tells STL by its count of facets, whole or cut off', () => {
    expect(stl(12)).toEqual({ ok: true, kind: 'stl', points: 36 });
    expect(stl(0)).toEqual({ ok: true, kind: 'stl', points: 0 });
    expect(stl(12, 84 + 50 * 12 - 1)).toMatchObject({ ok: false, reason: expect.stringMatching(/cut off/) });
    expect(stl(12_000_000)).toMatchObject({ ok: false, reason: expect.stringMatching(/600/) });
    expect(text('solid a\nfacet normal 0 0 1')).toEqual({ ok: true, kind: 'stl', points: undefined });
  });

  it('tells OBJ, PLY and points, and what is none of them', () => {
    expect(text('# a\nv 1 2 3\n')).toMatchObject({ ok: true, kind: 'obj' });
    expect(text('1.5 2 3\n4 5 6')).toMatchObject({ ok: true, kind: 'xyz' });
    expect(text('-1e3; 2; 3')).toMatchObject({ ok: true, kind: 'xyz' });
    const ply = (vertices: number) => `ply\nformat ascii 1.0\nelement vertex ${vertices}\nelement face 4\nend_header\n`;
    expect(text(ply(7), 1000)).toEqual({ ok: true, kind: 'ply', points: 7 });
    expect(text(ply(7), 40 + ply(7).length)).toMatchObject({ ok: true });
    expect(text(ply(70), 100 + ply(70).length)).toMatchObject({ reason: expect.stringMatching(/cut off/) });
    expect(text(ply(0), 1000)).toMatchObject({ reason: expect.stringMatching(/no points/) });
    expect(text(ply(12_000_001), 5e8)).toMatchObject({ reason: expect.stringMatching(/12,000,001/) });
    expect(text(ply(12_000_000), 5e8)).toMatchObject({ ok: true });
    expect(text('ply\nformat ascii')).toMatchObject({ reason: expect.stringMatching(/cut off/) });
    expect(text('PK\u0003\u0004aaaa')).toMatchObject({ reason: expect.stringMatching(/unpack/) });
    expect(text('hello there')).toMatchObject({ reason: expect.stringMatching(/no scan/) });
    expect(text('1 2\0 3')).toMatchObject({ reason: expect.stringMatching(/no scan/) });
    expect(scanFileKind(new Uint8Array(), 0)).toMatchObject({ reason: expect.stringMatching(/empty/) });
    expect(scanFileKind(new Uint8Array(), 9)).toMatchObject({ reason: expect.stringMatching(/empty/) });
    expect(text('v 1 2 3', 6e8)).toMatchObject({ ok: true });
    expect(text('v 1 2 3', 6e8 + 1)).toMatchObject({ reason: expect.stringMatching(/600 MB/) });
  });
});

describe('the head of a picture', () => {
  const letters = (...parts: (string | number[])[]) =>
    Uint8Array.from(parts.flatMap((part) => (typeof part === 'string' ? [...part].map((c) => c.charCodeAt(0)) : part)));
  const told = (head: Uint8Array) => {
    const kind = pictureFileKind(head, head.length);
    return kind.ok ? [kind.width, kind.height] : kind.reason;
  };
  const pad = (count: number) => new Array<number>(count).fill(0);

  it('lossy WebP has 14 bits a side (RFC 6386, 9.1), lossless 14 bits less one (WebP Lossless, 4)', () => {
    const lossy = letters('RIFF', pad(4), 'WEBPVP8 ', pad(10), [0x00, 0x45, 0x00, 0x83]);
    expect(told(lossy)).toEqual([0x500, 0x300]);
    const bits = (800 - 1) | ((600 - 1) << 14);
    const lossless = letters(
      'RIFF',
      pad(4),
      'WEBPVP8L',
      pad(5),
      [bits & 255, (bits >> 8) & 255, (bits >> 16) & 255, bits >>> 24],
      pad(5),
    );
    expect(told(lossless)).toEqual([800, 600]);
    expect(told(lossless.slice(0, 29))).toMatch(/cut off/);
    const wide = letters('RIFF', pad(4), 'WEBPVP8X', pad(8), [0xff, 0x45, 0, 0xff, 2, 0]);
    expect(told(wide)).toEqual([0x4600, 768]);
  });

  it('a JPEG’s size is in its frame, whatever tables come before (ITU-T T.81, table B.1)', () => {
    const frame = (marker: number) => [0xff, marker, 0, 17, 8, 3, 0, 4, 0, 3, ...pad(9)];
    const table = (marker: number) => [0xff, marker, 0, 5, 9, 9, 9];
    expect(told(letters([0xff, 0xd8], table(0xe1), table(0xc4), frame(0xc2)))).toEqual([1024, 768]);
    for (const none of [0xc4, 0xc8, 0xcc])
      expect(told(letters([0xff, 0xd8], frame(none), frame(0xc0)))).toEqual([1024, 768]);
    expect(told(letters([0xff, 0xd8], frame(0xcf)))).toEqual([1024, 768]);
    expect(told(letters([0xff, 0xd8], [0, 1, 2], frame(0xc0)))).toMatch(/cut off/);
    expect(told(letters([0xff, 0xd9], frame(0xc0)))).toMatch(/no picture/);
    expect(told(letters([0xfe, 0xd8], frame(0xc0)))).toMatch(/no picture/);
  });

  it('is as large as is read, and no larger', () => {
    const png = (side: number) =>
      letters([0x89], 'PNG\r\n\u001a\n', [0, 0, 0, 13], 'IHDR', [0, 0, side >> 8, side & 255, 0, 0, 0, 9]);
    expect(told(png(20_000))).toEqual([20_000, 9]);
    expect(told(png(20_001))).toMatch(/20001 by 9/);
    expect(told(png(0))).toMatch(/no size/);
    expect(told(png(5).slice(0, 23))).toMatch(/cut off/);
    for (const brand of ['heic', 'heix', 'hevc', 'mif1', 'msf1'])
      expect(told(letters(pad(4), 'ftyp', brand, pad(20)))).toMatch(/HEIC/);
    expect(told(letters(pad(4), 'ftypisom', pad(20)))).toMatch(/no picture/);
  });
});
