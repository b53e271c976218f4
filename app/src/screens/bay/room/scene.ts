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
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { LitMesh } from '@june-tide/core/solid';
import { type Eye, placeOf } from './eyes.ts';
import { Shed } from './shed.ts';
import { stripedSkin } from './stripes.ts';

type Path = readonly (readonly [number, number, number])[];

/** What is shown, all at once; the scene takes what changed. */
export interface RoomView {
  length_mm: number;
  width_mm: number;
  /** The highest of the board, for the eye. */
  top_mm: number;
  /** How high the bottom is where the blocks stand. */
  heights_mm: readonly [tail: number, nose: number];
  board: LitMesh;
  fins: readonly LitMesh[];
  /** The stringer on deck and bottom. */
  stringer: readonly Path[];
  /** The board laid over, as lines in space: its sections and its rails. */
  over: readonly Path[];
  /** The section at the hook as a closed line in space. */
  section: Path;
  hook_mm: number;
  cut: boolean;
  stripes: boolean;
  night: boolean;
}

/** A frame later than this after the one before is late: some fifteen a second are wanted of the slowest machine. */
const LATE_ms = 50;
const COARSE = 0.45;

/** The 3D room around one canvas. Draws only when something changed. @throws Error when there is no WebGL. */
export class RoomScene {
  private readonly renderer: WebGLRenderer;
  private readonly shed = new Shed();
  private readonly camera = new PerspectiveCamera(12, 1, 20, 60_000);
  private readonly controls: OrbitControls;
  private readonly foam: MeshStandardMaterial;
  private readonly dark = new MeshStandardMaterial({ color: 0x4b565b, roughness: 0.45, side: DoubleSide });
  private readonly stripes = stripedSkin();
  private readonly cut = new Plane(new Vector3(1, 0, 0), 0);
  /** What is drawn, by what it is of: each made anew only when that is another. */
  private readonly parts = new Map<string, { of: unknown; group: Group }>();
  private view: RoomView | undefined;
  private asked = 0;
  private readonly usual = Math.min(2, window.devicePixelRatio || 1);
  /** While the board is being turned: when the last frame was, and how many in a row came late. */
  private turning: { last: number; slow: number } | undefined;

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true });
    this.renderer.setPixelRatio(this.usual);
    this.renderer.localClippingEnabled = true;
    this.renderer.toneMapping = ACESFilmicToneMapping;
    this.renderer.shadowMap.enabled = true;
    this.renderer.shadowMap.type = PCFShadowMap;
    // Turning the eye moves no shadow.
    this.renderer.shadowMap.autoUpdate = false;
    // A little back from itself, so that the stringer and the hook lie on it.
    this.foam = new MeshStandardMaterial({
      color: 0xf7f4ea,
      roughness: 0.42,
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: 1,
      polygonOffsetUnits: 4,
    });
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener('change', () => this.ask());
    this.controls.addEventListener('start', () => (this.turning = { last: 0, slow: 0 }));
    this.controls.addEventListener('end', () => {
      this.turning = undefined;
      this.fineness(this.usual);
    });
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
    this.shed.set(view.night, view, view.heights_mm);
    this.cut.set(new Vector3(1, 0, 0), -view.hook_mm);
    const clipping = view.cut ? [this.cut] : [];
    for (const material of [this.foam, this.dark, this.stripes]) material.clippingPlanes = clipping;
    const skin: Material = view.stripes ? this.stripes : this.foam;
    this.part('board', view.board, () => [meshOf(view.board, skin)]);
    for (const child of this.parts.get('board')?.group.children ?? []) if (child instanceof Mesh) child.material = skin;
    this.part('fins', view.fins, () => view.fins.map((fin) => meshOf(fin, this.dark)));
    this.part('stringer', view.stringer, () => view.stringer.map((path) => lineOf(path, 0xb39d6e)));
    const other = view.night ? 0x6fd0b8 : 0x0f6353;
    this.part(`over ${view.night}`, view.over, () => view.over.map((path) => lineOf(path, other)));
    this.part(`over ${!view.night}`, undefined, () => []);
    const stringer = this.parts.get('stringer');
    if (stringer) stringer.group.visible = !view.stripes && !view.cut;
    this.part('section', view.section, () =>
      view.section.length > 0 ? [lineOf([...view.section, view.section[0]], 0xe0a800)] : [],
    );
    this.ask();
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
    for (const { group } of this.parts.values()) emptied(group);
    this.controls.dispose();
    for (const material of [this.foam, this.dark, this.stripes]) material.dispose();
    this.shed.dispose();
    this.renderer.dispose();
  }

  /** A part of what is seen, made anew only where it is of something else than before. */
  private part(name: string, of: unknown, make: () => (Mesh | Line)[]): void {
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

  /** Pixels drawn to one of the screen's, each way. */
  private fineness(ratio: number): void {
    if (this.renderer.getPixelRatio() === ratio) return;
    this.renderer.setPixelRatio(ratio);
    this.ask();
  }

  /** Where frames come late the board is turned in coarser ones; at rest it is fine again. */
  private paced(now_ms: number): void {
    const { turning } = this;
    if (!turning) return;
    const late = turning.last > 0 && now_ms - turning.last > LATE_ms && now_ms - turning.last < 10 * LATE_ms;
    turning.slow = late ? turning.slow + 1 : 0;
    turning.last = now_ms;
    if (turning.slow > 1) this.fineness(this.usual * COARSE);
  }

  private render(): void {
    if (this.shed.seenFrom(this.camera.position.z)) this.renderer.shadowMap.needsUpdate = true;
    this.renderer.render(this.shed.scene, this.camera);
  }

  private ask(): void {
    cancelAnimationFrame(this.asked);
    this.asked = requestAnimationFrame((now) => {
      this.paced(now);
      this.render();
    });
  }
}

/** Takes everything out of a group, with what it holds on the card; materials of lines are their own. */
function emptied(group: Group): void {
  for (const child of [...group.children]) {
    group.remove(child);
    if (child instanceof Mesh) (child.geometry as BufferGeometry).dispose();
    if (child instanceof Line) {
      (child.geometry as BufferGeometry).dispose();
      (child.material as Material).dispose();
    }
  }
}

function lineOf(path: Path, color: number): Line {
  const geometry = new BufferGeometry().setFromPoints(path.map(([x, y, z]) => new Vector3(x, y, z)));
  return new Line(geometry, new LineBasicMaterial({ color }));
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
