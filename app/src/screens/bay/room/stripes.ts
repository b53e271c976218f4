import { DoubleSide, ShaderMaterial } from 'three';

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
/** Bands of light as long tubes over the board would throw them, turned as one likes: even bands are an even surface. */
const STRIPES_FRAGMENT = `
varying vec3 vNormalView;
varying vec3 vToEye;
uniform float turn;
#include <clipping_planes_pars_fragment>
void main() {
  #include <clipping_planes_fragment>
  vec3 n = normalize(vNormalView);
  if (!gl_FrontFacing) n = -n;
  vec3 r = reflect(-normalize(vToEye), n);
  float lamps = atan(r.y * cos(turn) + r.x * sin(turn), r.z) * 5.0;
  float band = abs(fract(lamps) - 0.5) * 2.0;
  float w = fwidth(lamps) * 2.4;
  float light = smoothstep(0.5 - w, 0.5 + w, band);
  // Narrower than a pixel they are an even grey, not a flicker.
  light = mix(light, 0.5, smoothstep(0.5, 1.1, w));
  gl_FragColor = vec4(mix(vec3(0.10, 0.12, 0.13), vec3(0.98, 0.97, 0.94), light), 1.0);
}`;

export const stripedSkin = (): ShaderMaterial =>
  new ShaderMaterial({
    uniforms: { turn: { value: 0 } },
    vertexShader: STRIPES_VERTEX,
    fragmentShader: STRIPES_FRAGMENT,
    side: DoubleSide,
    clipping: true,
  });
