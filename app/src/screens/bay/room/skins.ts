import {
  Color,
  DoubleSide,
  MeshStandardMaterial,
  type MeshStandardMaterialParameters,
  type ShaderMaterial,
  Vector4,
} from 'three';
import type { Finish } from '@june-tide/core/make';
import { type CurvatureWay, type LitMesh, meshCurvature } from '@june-tide/core/solid';
import { stripedSkin } from './stripes.ts';

/** What the board is covered with in the room. */
export const SKINS = ['foam', 'stripes', 'contours', 'along', 'across'] as const;
/** Or painted, each corner in a colour of its own. */
export type Skin = (typeof SKINS)[number] | 'painted';
export const SKIN_WORDS: Readonly<Record<(typeof SKINS)[number], string>> = {
  foam: 'Foam',
  stripes: 'Stripes of light',
  contours: 'Lines of height',
  along: 'Bend along the board',
  across: 'Bend across the board',
};

/** The bend that is coloured half as strongly as the strongest, 1/mm: a rocker's usual one along, a deck's crown across. */
const HALF_COLOURED: Readonly<Record<Exclude<CurvatureWay, 'mean'>, number>> = { along: 1 / 2500, across: 1 / 700 };
export const [FLAT, HOLLOW, ROUND] = [0xf2efe4, 0x0b6f86, 0xc98708];

/** A little back from itself, so that the stringer and the hook lie on it. */
const FOAM: MeshStandardMaterialParameters = {
  color: 0xfbf9f1,
  roughness: 0.42,
  side: DoubleSide,
  polygonOffset: true,
  polygonOffsetFactor: 1,
  polygonOffsetUnits: 4,
};

/** So far in from the rail the bottom's cloth ends on the deck, mm: about two inches, common practice. */
const LAP_mm = 50;

/** Colours in the resin over the foam: how far in from the rail a place is comes with its corners. */
const GLASSED = `
  float onDeck = step(0.0, vUp);
  float soft = 0.5 * fwidth(vFromRail);
  float inLap = onDeck * (1.0 - smoothstep(lap - soft, lap + soft, vFromRail));
  float tinted = max(mix(tintOn.y, tintOn.x, onDeck), inLap * tintOn.y);
  diffuseColor.rgb *= mix(vec3(1.0), tint, tinted);
  diffuseColor.rgb *= mix(vec3(1.0), tint, 0.45 * inLap * tintOn.x * tintOn.z);
  float line = onDeck * tintOn.w * (1.0 - smoothstep(1.6 - soft, 1.6 + soft, abs(vFromRail - lap)));
  diffuseColor.rgb = mix(diffuseColor.rgb, pinline, line);`;

/** The skins' materials, made once for a scene. */
export class Skins {
  readonly foam = new MeshStandardMaterial(FOAM);
  private readonly coloured = new MeshStandardMaterial({ ...FOAM, color: 0xffffff, vertexColors: true });
  private readonly lined = new MeshStandardMaterial(FOAM);
  private readonly striped = stripedSkin();
  private readonly apart = { value: 5 };
  private readonly glassed = {
    tint: { value: new Color(0xffffff) },
    pinline: { value: new Color(0x000000) },
    lap: { value: LAP_mm },
    // Of the deck, of the bottom, whether a cut lap is seen through, whether there is a pinline.
    tintOn: { value: new Vector4() },
  };

  constructor() {
    this.foam.onBeforeCompile = (shader) => {
      Object.assign(shader.uniforms, this.glassed);
      shader.vertexShader = shader.vertexShader
        .replace(
          '#include <common>',
          '#include <common>\nattribute float fromRail;\nvarying float vFromRail;\nvarying float vUp;',
        )
        .replace('#include <begin_vertex>', '#include <begin_vertex>\nvFromRail = fromRail;\nvUp = normal.z;');
      shader.fragmentShader = shader.fragmentShader
        .replace(
          '#include <common>',
          '#include <common>\nvarying float vFromRail;\nvarying float vUp;\nuniform vec3 tint;\nuniform vec3 pinline;\nuniform float lap;\nuniform vec4 tintOn;',
        )
        .replace('#include <color_fragment>', `#include <color_fragment>\n${GLASSED}`);
    };
    this.lined.onBeforeCompile = (shader) => {
      shader.uniforms.apart = this.apart;
      shader.vertexShader = shader.vertexShader
        .replace('#include <common>', '#include <common>\nvarying float vHigh;')
        .replace('#include <begin_vertex>', '#include <begin_vertex>\nvHigh = position.z;');
      shader.fragmentShader = shader.fragmentShader
        .replace('#include <common>', '#include <common>\nvarying float vHigh;\nuniform float apart;')
        .replace('#include <color_fragment>', `#include <color_fragment>\n${LINES_OF_HEIGHT}`);
    };
  }

  of(skin: Skin): MeshStandardMaterial | ShaderMaterial {
    if (skin === 'stripes') return this.striped;
    if (skin === 'contours') return this.lined;
    return skin === 'foam' ? this.foam : this.coloured;
  }

  /** Lines of height are so far apart; stripes are turned so far from across the board. */
  set(apart_mm: number, turn_rad: number): void {
    this.apart.value = apart_mm;
    this.striped.uniforms.turn.value = turn_rad;
  }

  /** The colours it is glassed in; none is clear. */
  glass({ tint, on, cutLap, pinline }: Finish): void {
    if (tint !== undefined) this.glassed.tint.value.set(tint);
    if (pinline !== undefined) this.glassed.pinline.value.set(pinline);
    const at = (side: Finish['on']) => (tint !== undefined && (on === 'all' || on === side) ? 1 : 0);
    this.glassed.tintOn.value.set(at('deck'), at('bottom'), cutLap ? 1 : 0, pinline === undefined ? 0 : 1);
  }

  all(): (MeshStandardMaterial | ShaderMaterial)[] {
    return [this.foam, this.coloured, this.lined, this.striped];
  }
}

/** A thin line at each whole step of height, every fifth one stronger. */
const LINES_OF_HEIGHT = `
  float level = vHigh / apart;
  float width = fwidth(level);
  float thin = 1.0 - smoothstep(0.6 * width, 1.4 * width, abs(fract(level + 0.5) - 0.5));
  float strong = 1.0 - smoothstep(1.1 * width, 2.2 * width, 5.0 * abs(fract(level / 5.0 + 0.5) - 0.5));
  diffuseColor.rgb = mix(diffuseColor.rgb, vec3(0.03, 0.16, 0.19), max(0.55 * thin, 0.9 * strong));`;

/** How a bend is coloured, −1 all hollow to 1 all round: a rail does not drown what is nearly flat. */
export function toneOf(bend: number, way: Exclude<CurvatureWay, 'mean'>): number {
  return bend / (Math.abs(bend) + HALF_COLOURED[way]);
}

/** A colour for every vertex: white where it is flat, one colour as it grows hollow, another as it grows round. */
export function bendColours(mesh: LitMesh, way: Exclude<CurvatureWay, 'mean'>): Float32Array {
  const bends = meshCurvature(mesh, way);
  const out = new Float32Array(3 * bends.length);
  const [flat, hollow, round] = [FLAT, HOLLOW, ROUND].map((hex) => new Color(hex));
  const mixed = new Color();
  bends.forEach((bend, i) => {
    const tone = toneOf(bend, way);
    mixed.lerpColors(flat, tone < 0 ? hollow : round, Math.abs(tone)).toArray(out, 3 * i);
  });
  return out;
}
