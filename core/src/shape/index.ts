export { boardFrom, boardIssues, type Issue } from './issues.ts';
export { curveGains, levers, lineAt, type MarkGain } from './gains.ts';
export { sectionAt, type Shape, shapeOf } from './shape.ts';
export { curveTroubles, hollowsOf } from './troubles.ts';
