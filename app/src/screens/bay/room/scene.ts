import {
  AmbientLight,
  BufferAttribute,
  BufferGeometry,
  Color,
  DirectionalLight,
  DoubleSide,
  Group,
  Line,
  LineBasicMaterial,
  type Material,
  Mesh,
  MeshStandardMaterial,
  PerspectiveCamera,
  Plane,
  Scene,
  ShaderMaterial,
  Vector3,
  WebGLRenderer,
} from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import type { LitMesh } from '@june-tide/core/solid';

/** Where a shaper puts the eye. Directions in the board's own axes: nose +x, deck +z. */
export const EYES = {
  rail: 'Down the rail',
  bottom: 'Along the bottom',
  deck: 'Over the deck',
  tail: 'Behind the tail',
} as const;
export type Eye = keyof typeof EYES;

/** What is shown, all at once; the scene takes what changed. */
export interface RoomView {
  length_mm: number;
  width_mm: number;
  noseLift_mm: number;
  board: LitMesh;
  fins: readonly LitMesh[];
  /** The board laid over, as lines in space: its sections and its rails. */
  over: readonly (readonly (readonly [number, number, number])[])[];
  /** The section at the hook as a closed line in space. */
  section: readonly (readonly [number, number, number])[];
  hook_mm: number;
  cut: boolean;
  stripes: boolean;
  night: boolean;
}

const STRIPES_VERTEX = `
varying vec3 vNormalView;
varying vec3 vToEye;
#include <clipping_planes_pars_vertex>
void main() {
  vec4 mvPosition = modelViewMatrix * vec4(position, 1.0);
  vNormalView = normalMatrix * normal;
  vToEye = -mvPosition.xyz;
  gl_Position = projectionMatrix * mvPosition;
  #include <clipping_planes_vertex>
}`;
/** Bands of light as long tubes over the board would throw them: even bands are an even surface. */
const STRIPES_FRAGMENT = `
varying vec3 vNormalView;
varying vec3 vToEye;
#include <clipping_planes_pars_fragment>
void main() {
  #include <clipping_planes_fragment>
  vec3 n = normalize(vNormalView);
  if (!gl_FrontFacing) n = -n;
  vec3 r = reflect(-normalize(vToEye), n);
  float band = abs(fract(atan(r.y, r.z) * 5.0) - 0.5) * 2.0;
  float w = fwidth(band) * 1.2;
  float light = smoothstep(0.5 - w, 0.5 + w, band);
  gl_FragColor = vec4(mix(vec3(0.10, 0.12, 0.13), vec3(0.98, 0.97, 0.94), light), 1.0);
}`;

/** The 3D room around one canvas. Draws only when something changed. @throws Error when there is no WebGL. */
export class RoomScene {
  private readonly renderer: WebGLRenderer;
  private readonly scene = new Scene();
  private readonly camera = new PerspectiveCamera(32, 1, 10, 40_000);
  private readonly controls: OrbitControls;
  private readonly world = new Group();
  private readonly foam: MeshStandardMaterial;
  private readonly stripes: ShaderMaterial;
  private readonly cut = new Plane(new Vector3(1, 0, 0), 0);
  private view: RoomView | undefined;
  private asked = 0;

  constructor(canvas: HTMLCanvasElement) {
    this.renderer = new WebGLRenderer({ canvas, antialias: true, preserveDrawingBuffer: true });
    this.renderer.setPixelRatio(Math.min(2, window.devicePixelRatio || 1));
    this.renderer.localClippingEnabled = true;
    this.foam = new MeshStandardMaterial({ color: 0xf6f3ea, roughness: 0.78, metalness: 0, side: DoubleSide });
    this.stripes = new ShaderMaterial({
      vertexShader: STRIPES_VERTEX,
      fragmentShader: STRIPES_FRAGMENT,
      side: DoubleSide,
      clipping: true,
    });
    this.camera.up.set(0, 0, 1);
    this.controls = new OrbitControls(this.camera, canvas);
    this.controls.enableDamping = false;
    this.controls.addEventListener('change', () => this.ask());
    // Two rows of low lamps along the rails, a little light from above and below so that nothing goes black.
    const lamp = (y: number, z: number, strength: number) => {
      const light = new DirectionalLight(0xfff4df, strength);
      light.position.set(0, y, z);
      this.scene.add(light);
    };
    lamp(1, 0.3, 1.6);
    lamp(-1, 0.3, 1.6);
    lamp(1, -0.3, 0.7);
    lamp(-1, -0.3, 0.7);
    this.scene.add(new AmbientLight(0xffffff, 0.55));
    this.scene.add(this.world);
  }

  resize(width: number, height: number): void {
    this.renderer.setSize(width, height, false);
    this.camera.aspect = width / height;
    this.camera.updateProjectionMatrix();
    this.ask();
  }

  show(view: RoomView): void {
    this.clear();
    this.view = view;
    this.scene.background = new Color(view.night ? 0x0d2a2d : 0xe6dfd0);
    this.cut.set(new Vector3(1, 0, 0), -view.hook_mm);
    const clipping = view.cut ? [this.cut] : [];
    this.foam.clippingPlanes = clipping;
    this.stripes.clippingPlanes = clipping;
    const skin: Material = view.stripes ? this.stripes : this.foam;
    this.world.add(new Mesh(geometryOf(view.board), skin));
    const dark = new MeshStandardMaterial({
      color: 0x2b3337,
      roughness: 0.4,
      side: DoubleSide,
      clippingPlanes: clipping,
    });
    for (const fin of view.fins) this.world.add(new Mesh(geometryOf(fin), dark));
    for (const line of view.over) {
      const geometry = new BufferGeometry().setFromPoints(line.map(([x, y, z]) => new Vector3(x, y, z)));
      this.world.add(new Line(geometry, new LineBasicMaterial({ color: view.night ? 0x6fd0b8 : 0x0f6353 })));
    }
    if (view.section.length > 0) {
      const geometry = new BufferGeometry().setFromPoints(
        [...view.section, view.section[0]].map(([x, y, z]) => new Vector3(x, y, z)),
      );
      this.world.add(new Line(geometry, new LineBasicMaterial({ color: 0xe0a800, depthTest: !view.cut })));
    }
    this.ask();
  }

  /** Puts the eye where a shaper puts it. */
  look(eye: Eye): void {
    const { view } = this;
    if (!view) return;
    const L = view.length_mm;
    const half = view.width_mm / 2;
    const places: Readonly<Record<Eye, { from: [number, number, number]; at: [number, number, number] }>> = {
      rail: { from: [-0.3 * L, -half * 1.5, 150], at: [0.55 * L, -half * 0.1, 20] },
      bottom: { from: [-0.55 * L, half * 0.4, -0.42 * L], at: [0.24 * L, 0, 0] },
      deck: { from: [0.5 * L, -0.28 * L, 1.05 * L], at: [0.5 * L, 0, 0] },
      tail: { from: [-0.45 * L, 0, 0.16 * L], at: [0.5 * L, 0, view.noseLift_mm / 3] },
    };
    const { from, at } = places[eye];
    // Over the deck the whole length fills the width, whatever the shape of the window.
    const reach = 1.08 * Math.hypot(0.28, 1.05) * Math.tan((16 * Math.PI) / 180) * this.camera.aspect;
    const back = eye === 'deck' ? 0.61 / reach : 1;
    this.camera.position.set(
      at[0] + (from[0] - at[0]) * back,
      at[1] + (from[1] - at[1]) * back,
      at[2] + (from[2] - at[2]) * back,
    );
    this.controls.target.set(...at);
    this.controls.update();
    this.ask();
  }

  /** What is seen, drawn anew so many times as fine, on a canvas of its own. */
  picture(scale: number): HTMLCanvasElement {
    const ratio = this.renderer.getPixelRatio();
    const out = document.createElement('canvas');
    try {
      this.renderer.setPixelRatio(scale);
      this.renderer.render(this.scene, this.camera);
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
    this.clear();
    this.controls.dispose();
    this.foam.dispose();
    this.stripes.dispose();
    this.renderer.dispose();
  }

  private ask(): void {
    cancelAnimationFrame(this.asked);
    this.asked = requestAnimationFrame(() => this.renderer.render(this.scene, this.camera));
  }

  private clear(): void {
    for (const child of [...this.world.children]) {
      this.world.remove(child);
      if (child instanceof Mesh || child instanceof Line) {
        (child.geometry as BufferGeometry).dispose();
        const material = child.material as Material;
        if (material !== this.foam && material !== this.stripes) material.dispose();
      }
    }
  }
}

function geometryOf(mesh: LitMesh): BufferGeometry {
  const geometry = new BufferGeometry();
  geometry.setAttribute('position', new BufferAttribute(mesh.positions, 3));
  geometry.setAttribute('normal', new BufferAttribute(mesh.normals, 3));
  geometry.setIndex(new BufferAttribute(mesh.triangles, 1));
  return geometry;
}
