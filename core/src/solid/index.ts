export { type LitMesh, litMesh } from './creases.ts';
export { type CurvatureWay, meshCurvature } from './curvature.ts';
export { detailForChord } from './detail.ts';
export { type Mesh, meshOf, USUAL_DETAIL } from './mesh.ts';
export { meshNormals } from './normals.ts';
export { deckShade } from './shade.ts';
