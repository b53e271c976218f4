import {
  BoxGeometry,
  Color,
  DirectionalLight,
  Group,
  HemisphereLight,
  Mesh,
  MeshStandardMaterial,
  PlaneGeometry,
  Scene,
  ShadowMaterial,
} from 'three';

/** Lights of one hour: the wall, what comes from the sky and the floor, the key from above, and the two lamps low along the rails. */
interface Hour {
  wall: number;
  sky: number;
  key: number;
  rakes: readonly [right: number, left: number];
  shadow: number;
  /** How far the picture is opened. */
  exposure: number;
}
const HOURS: Readonly<Record<'day' | 'night', Hour>> = {
  day: { wall: 0xb3aa96, sky: 0.62, key: 1.7, rakes: [2.3, 0.75], shadow: 0.36, exposure: 1.25 },
  night: { wall: 0x0d2a2d, sky: 0.3, key: 0.35, rakes: [1.9, 0.8], shadow: 0.55, exposure: 1 },
};

/** The stand is so high. */
const STAND_mm = 160;

/** The shed around the board: its lights, a floor that takes the shadow, and two blocks it lies on. */
export class Shed {
  readonly scene = new Scene();
  private readonly key = new DirectionalLight(0xffffff);
  private readonly rakes = [new DirectionalLight(0xfff0d6), new DirectionalLight(0xfff0d6)];
  private readonly sky = new HemisphereLight(0xffffff, 0x8a8172);
  private readonly floor = new Mesh(new PlaneGeometry(1, 1), new ShadowMaterial());
  private readonly blocks = [0, 1].map(
    () => new Mesh(new BoxGeometry(1, 1, 1), new MeshStandardMaterial({ color: 0xc9b48e, roughness: 0.85 })),
  );
  private readonly stand = new Group();

  constructor() {
    this.key.castShadow = true;
    this.key.shadow.mapSize.set(1024, 1024);
    this.key.shadow.radius = 6;
    // A sloping facet must not throw its shade on itself.
    this.key.shadow.bias = -0.0004;
    this.key.shadow.normalBias = 12;
    this.floor.receiveShadow = true;
    for (const block of this.blocks) {
      block.castShadow = true;
      block.receiveShadow = true;
    }
    this.stand.add(this.floor, ...this.blocks);
    this.scene.add(
      this.stand,
      this.key,
      this.key.target,
      ...this.rakes,
      ...this.rakes.map((rake) => rake.target),
      this.sky,
    );
  }

  /**
   * The hour's lights, and the stand under a board of this size whose bottom is so high at the blocks.
   * @returns how far the picture is opened at that hour.
   */
  set(
    night: boolean,
    board: { length_mm: number; width_mm: number; beside_mm: number },
    heights: readonly [tail: number, nose: number],
  ): number {
    const hour = HOURS[night ? 'night' : 'day'];
    this.scene.background = new Color(hour.wall);
    this.stand.visible = true;
    this.sky.intensity = hour.sky;
    this.key.intensity = hour.key;
    this.floor.material.opacity = hour.shadow;
    const { length_mm: L, width_mm: W, beside_mm } = board;
    const middle = [L / 2, 0, 0] as const;
    this.key.position.set(L * 0.2, -L * 0.75, L * 0.75);
    this.key.target.position.set(...middle);
    const { camera } = this.key.shadow;
    camera.left = camera.bottom = -0.7 * L;
    camera.right = camera.top = 0.7 * L;
    camera.far = 3 * L;
    camera.updateProjectionMatrix();
    // Low enough that every bump throws its shade; a little ahead on one side, behind on the other.
    this.rakes.forEach((rake, i) => {
      const side = i === 0 ? -1 : 1;
      rake.intensity = hour.rakes[i];
      rake.position.set(L / 2 + side * 0.2 * L, side * 2 * W, 0.35 * W);
      rake.target.position.set(...middle);
    });
    const foot = Math.min(...heights) - STAND_mm;
    this.floor.scale.set(12 * L, 12 * L, 1);
    this.floor.position.set(L / 2, 0, foot);
    this.blocks.forEach((block, i) => {
      const high = heights[i] - foot;
      block.scale.set(70, W * 0.62 + beside_mm, high);
      block.position.set(L * (i === 0 ? 0.24 : 0.72), beside_mm / 2, foot + high / 2);
    });
    return hour.exposure;
  }

  /**
   * From under the board there is no floor in the way, and the lights are where they would be if it lay bottom up.
   * @returns whether that changed: shadows fall the other way then.
   */
  seenFrom(z_mm: number): boolean {
    const above = z_mm > this.floor.position.z + 1;
    if (above === this.stand.visible) return false;
    this.stand.visible = above;
    for (const light of [this.key, ...this.rakes]) {
      const { position } = light;
      position.z = above ? Math.abs(position.z) : -Math.abs(position.z);
    }
    return true;
  }

  dispose(): void {
    for (const mesh of [this.floor, ...this.blocks]) {
      mesh.geometry.dispose();
      mesh.material.dispose();
    }
    this.key.dispose();
  }
}
