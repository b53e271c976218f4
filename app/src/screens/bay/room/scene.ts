import {
  ACESFilmicToneMapping,
  BufferAttribute,
  BufferGeometry,
  DoubleSide,
  Group,
  Line,
  LineBasicMaterial,
  type Material,
  Mesh,
  MeshStandardMaterial,
  PCFShadowMap,
  PerspectiveCamera,
  Plane,
  Points,
  PointsMaterial,
  Raycaster,
  Spherical,
  Vector2,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { Finish } from '@june-tide/core/make';
import type { LitMesh } from '@june-tide/core/solid';
import { type Eye, placeOf } from './eyes.ts';
import { Shed } from './shed.ts';
import { bendColours, type Skin, Skins } from './skins.ts';

/** A place in the room, mm: from the tail, left of the stringer, up from the table. */
export type Place = readonly [number, number, number];
type Path = readonly Place[];

/** The other board in the round: where ours is, and ours seen through; or beside it. */
export interface OtherSolid {
  board: LitMesh;
  shift_mm: number;
  lies: 'through' | 'beside';
  /** How far it lies to the side of ours when it is beside it. */
  aside_mm: number;
}

/** What is shown, all at once; the scene takes what changed. */
export interface RoomView {
  length_mm: number;
  width_mm: number;
  /** The highest of the board, for the eye. */
  top_mm: number;
  /** So much farther to the left reaches a board beside it. */
  beside_mm: number;
  /** How high the bottom is where the blocks stand. */
  heights_mm: readonly [tail: number, nose: number];
  board: LitMesh;
  fins: readonly LitMesh[];
  /** The stringer on deck and bottom. */
  stringer: readonly Path[];
  /** The board laid over, as lines in space: its sections and its rails. */
  over: readonly Path[];
  other: OtherSolid | undefined;
  /** The section at the hook as a closed line in space. */
  section: Path;
  hook_mm: number;
  cut: boolean;
  skin: Skin;
  /** The colour of each corner of the board's triangles, where it is painted. */
  colours?: Float32Array;
  /** Stripes are turned so far; lines of height are so far apart. */
  turn_rad: number;
  apart_mm: number;
  /** What was measured: one place, or two with a line between. */
  marks: readonly Place[];
  night: boolean;
  /** The colours of the order, and how far in from the rail each corner of the board is, mm: none where it is clear. */
  finish?: Finish;
  fromRail?: Float32Array | undefined;
}

/** A machine that takes longer than this for a frame of the screen's own pixels draws moving ones coarser: fifteen a second are wanted of it. */
const SLOW_ms = 20;
/** Pixels to one of the screen's, each way: edges are smooth because the fine picture is made smaller. */
const FINE = 2;
const COARSE = 0.42;
/** Nothing has moved for so long: it is drawn fine again. */
const REST_ms = 160;

const CLEAR: Finish = { on: 'all', cutLap: false };

/** The 3D room around one canvas. Draws only when something changed. @throws Error when there is no WebGL. */
export class RoomScene {
  private readonly renderer: WebGLRenderer;
  private readonly shed = new Shed();
  private readonly camera = new PerspectiveCamera(12, 1, 20, 60_000);
  private readonly controls: OrbitControls;
  private readonly skins = new Skins();
  private readonly dark = new MeshStandardMaterial({ color: 0x4b565b, roughness: 0.45, side: DoubleSide });
  private readonly beside = new MeshStandardMaterial({ color: 0x8fbfb3, roughness: 0.6, side: DoubleSide });
  private readonly through = new MeshStandardMaterial({
    color: 0x1f8a72,
    roughness: 0.6,
    side: DoubleSide,
    transparent: true,
    opacity: 0.45,
    depthWrite: false,
  });
  private readonly cut = new Plane(new Vector3(1, 0, 0), 0);
  /** What is drawn, by what it is of: each made anew only when that is another. */
  private readonly parts = new Map<string, { of: unknown; group: Group }>();
  private view: RoomView | undefined;
  private asked = 0;
  /** Whether this machine is too slow for fine frames in motion; known after the first. */
  private slow: boolean | undefined;
  private resting: ReturnType<typeof setTimeout> | undefined;

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: false, preserveDrawingBuffer: true });
    this.renderer.setPixelRatio(FINE);
    this.renderer.localClippingEnabled = true;
    this.renderer.toneMapping = ACESFilmicToneMapping;
    this.renderer.shadowMap.enabled = true;
    this.renderer.shadowMap.type = PCFShadowMap;
    // Turning the eye moves no shadow.
    this.renderer.shadowMap.autoUpdate = false;
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener('change', () => this.ask());
  }

  resize(width: number, height: number): void {
    this.renderer.setSize(width, height, false);
    this.camera.aspect = width / height;
    this.camera.updateProjectionMatrix();
    this.ask();
  }

  show(view: RoomView): void {
    this.view = view;
    this.renderer.shadowMap.needsUpdate = true;
    this.renderer.toneMappingExposure = this.shed.set(view.night, view, view.heights_mm);
    this.cut.set(new Vector3(1, 0, 0), -view.hook_mm);
    const clipping = view.cut ? [this.cut] : [];
    this.skins.set(view.apart_mm, view.turn_rad);
    for (const material of [...this.skins.all(), this.dark]) material.clippingPlanes = clipping;
    const skin: Material = this.skins.of(view.skin);
    this.part('board', view.board, () => [meshOf(view.board, skin)]);
    for (const child of this.parts.get('board')?.group.children ?? []) if (child instanceof Mesh) child.material = skin;
    this.skins.glass(view.finish ?? CLEAR);
    if (view.fromRail) this.attribute('fromRail', view.fromRail, () => view.fromRail!, 1);
    const { skin: way } = view;
    if (way === 'along' || way === 'across') this.paint(way, () => bendColours(view.board, way));
    else if (way === 'painted' && view.colours) this.paint(view.colours, () => view.colours!);
    this.part('other', view.other, () => (view.other ? [this.otherSolid(view.other)] : []));
    this.part('fins', view.fins, () => view.fins.map((fin) => meshOf(fin, this.dark)));
    this.part('stringer', view.stringer, () => view.stringer.map((path) => lineOf(path, 0xb39d6e)));
    const other = view.night ? 0x6fd0b8 : 0x0f6353;
    this.part(`over ${view.night}`, view.over, () => view.over.map((path) => lineOf(path, other)));
    this.part(`over ${!view.night}`, undefined, () => []);
    const stringer = this.parts.get('stringer');
    if (stringer) stringer.group.visible = view.skin === 'foam' && !view.cut;
    this.part('section', view.section, () =>
      view.section.length > 0 ? [lineOf([...view.section, view.section[0]], 0xe0a800)] : [],
    );
    this.part('marks', view.marks, () => marksOf(view.marks, view.night ? 0xf2c32e : 0xc42b14));
    this.ask();
  }

  /** The place of the board that is seen at a place of the canvas, shares of it from its left and top; none beside it. */
  placeAt(across: number, down: number): Place | undefined {
    const meshes = ['board', 'other'].flatMap((name) => this.parts.get(name)?.group.children ?? []);
    const ray = new Raycaster();
    ray.setFromCamera(new Vector2(2 * across - 1, 1 - 2 * down), this.camera);
    const { view } = this;
    const hit = ray.intersectObjects(meshes, false).find(({ point }) => !view?.cut || point.x >= view.hook_mm);
    return hit && [hit.point.x, hit.point.y, hit.point.z];
  }

  /** Turns the eye round the board and up over it, and goes nearer by a share. */
  turn(round_rad: number, up_rad: number, nearer = 1): void {
    const { target } = this.controls;
    const from = this.camera.position.clone().sub(target);
    // Spherical counts its height from y; ours is z.
    const ball = new Spherical().setFromVector3(new Vector3(from.x, from.z, -from.y));
    ball.theta += round_rad;
    ball.phi -= up_rad;
    ball.radius /= nearer;
    ball.makeSafe();
    const to = new Vector3().setFromSpherical(ball);
    this.camera.position.set(to.x, -to.z, to.y).add(target);
    this.controls.update();
    this.ask();
  }

  /** Frames of the board going once round under the lights; the eye is then where it was. */
  *turntable(frames: number): Generator<HTMLCanvasElement> {
    const from = this.camera.position.clone();
    cancelAnimationFrame(this.asked);
    clearTimeout(this.resting);
    try {
      for (let k = 0; k < frames; k++) {
        this.draw(this.slow ? 1 : FINE);
        yield this.renderer.domElement;
        this.turn((2 * Math.PI) / frames, 0);
        cancelAnimationFrame(this.asked);
      }
    } finally {
      this.camera.position.copy(from);
      this.controls.update();
      this.ask();
    }
  }

  /** Puts the eye where a shaper puts it. */
  look(eye: Eye): void {
    if (!this.view) return;
    const { from, at, fov_rad } = placeOf(eye, this.view, this.camera.aspect);
    this.camera.fov = (fov_rad * 180) / Math.PI;
    this.camera.updateProjectionMatrix();
    this.camera.position.copy(from);
    this.controls.target.copy(at);
    this.controls.update();
    this.ask();
  }

  /** What is seen, drawn anew so many times as fine, on a canvas of its own. */
  picture(scale: number): HTMLCanvasElement {
    const ratio = this.renderer.getPixelRatio();
    const out = document.createElement('canvas');
    try {
      this.renderer.setPixelRatio(scale);
      this.render();
      const { domElement } = this.renderer;
      out.width = domElement.width;
      out.height = domElement.height;
      out.getContext('2d')?.drawImage(domElement, 0, 0);
    } finally {
      this.renderer.setPixelRatio(ratio);
      this.ask();
    }
    return out;
  }

  dispose(): void {
    cancelAnimationFrame(this.asked);
    clearTimeout(this.resting);
    for (const { group } of this.parts.values()) emptied(group);
    this.controls.dispose();
    for (const material of [...this.skins.all(), this.dark, this.beside, this.through]) material.dispose();
    this.shed.dispose();
    this.renderer.dispose();
  }

  /** A part of what is seen, made anew only where it is of something else than before. */
  private part(name: string, of: unknown, make: () => (Mesh | Line | Points)[]): void {
    let known = this.parts.get(name);
    if (known && known.of === of) return;
    if (!known) {
      known = { of, group: new Group() };
      this.parts.set(name, known);
      this.shed.scene.add(known.group);
    }
    emptied(known.group);
    known.of = of;
    const made = make();
    if (made.length > 0) known.group.add(...made);
  }

  /** Paints the board; the colours are made once for what they are of. */
  private paint(of: unknown, colours: () => Float32Array): void {
    this.attribute('color', of, colours, 3);
  }

  /** Gives every corner of the board its `size` numbers, made once for what they are of. */
  private attribute(name: string, of: unknown, numbers: () => Float32Array, size: number): void {
    const [mesh] = this.parts.get('board')?.group.children ?? [];
    if (!(mesh instanceof Mesh) || mesh.userData[name] === of) return;
    (mesh.geometry as BufferGeometry).setAttribute(name, new BufferAttribute(numbers(), size));
    mesh.userData[name] = of;
  }

  private otherSolid({ board, shift_mm, lies, aside_mm }: OtherSolid): Mesh {
    const mesh = meshOf(board, lies === 'through' ? this.through : this.beside);
    mesh.position.set(shift_mm, lies === 'beside' ? aside_mm : 0, 0);
    mesh.castShadow = lies === 'beside';
    mesh.updateMatrixWorld();
    return mesh;
  }

  private render(): void {
    if (this.shed.seenFrom(this.camera.position.z)) this.renderer.shadowMap.needsUpdate = true;
    this.renderer.render(this.shed.scene, this.camera);
  }

  /** Draws what is seen with the next frame; on a slow machine coarser at first, fine when nothing moves any more. */
  private ask(): void {
    cancelAnimationFrame(this.asked);
    clearTimeout(this.resting);
    this.asked = requestAnimationFrame(() => {
      if (!this.view) return;
      const first = this.slow === undefined;
      if (this.slow === undefined) this.slow = this.timed() > SLOW_ms;
      if (!this.slow) this.draw(FINE);
      else if (!first) this.draw(COARSE);
      if (this.slow) this.resting = setTimeout(() => this.draw(FINE), REST_ms);
    });
  }

  private draw(ratio: number): void {
    if (this.renderer.getPixelRatio() !== ratio) this.renderer.setPixelRatio(ratio);
    this.render();
  }

  /** How long a frame takes, ms, after one that makes what all need: reading one pixel waits for all of them. */
  private timed(): number {
    const gl = this.renderer.getContext();
    const pixel = new Uint8Array(4);
    const finished = () => gl.readPixels(0, 0, 1, 1, gl.RGBA, gl.UNSIGNED_BYTE, pixel);
    this.draw(1);
    finished();
    const began = performance.now();
    this.draw(1);
    finished();
    return performance.now() - began;
  }
}

/** Takes everything out of a group, with what it holds on the card; materials of lines are their own. */
function emptied(group: Group): void {
  for (const child of [...group.children]) {
    group.remove(child);
    if (child instanceof Mesh) (child.geometry as BufferGeometry).dispose();
    if (child instanceof Line || child instanceof Points) {
      (child.geometry as BufferGeometry).dispose();
      (child.material as Material).dispose();
    }
  }
}

function lineOf(path: Path, color: number): Line {
  const geometry = new BufferGeometry().setFromPoints(path.map(([x, y, z]) => new Vector3(x, y, z)));
  return new Line(geometry, new LineBasicMaterial({ color }));
}

/** Places as dots, and the straight line between two, seen through the foam. */
function marksOf(marks: Path, color: number): (Line | Points)[] {
  if (marks.length === 0) return [];
  const geometry = new BufferGeometry().setFromPoints(marks.map(([x, y, z]) => new Vector3(x, y, z)));
  const dots = new Points(geometry, new PointsMaterial({ color, size: 9, sizeAttenuation: false, depthTest: false }));
  dots.renderOrder = 2;
  if (marks.length < 2) return [dots];
  const line = lineOf(marks, color);
  (line.material as LineBasicMaterial).depthTest = false;
  line.renderOrder = 2;
  return [dots, line];
}

function meshOf(mesh: LitMesh, material: Material): Mesh {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  geometry.setIndex(new BufferAttribute(mesh.triangles, 1));
  const made = new Mesh(geometry, material);
  made.castShadow = true;
  made.receiveShadow = true;
  return made;
}
