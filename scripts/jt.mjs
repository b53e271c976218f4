// jt as it is shipped: bundled once, and again when a source is newer, then run with what was asked.
import { buildJt, checkNode, jtFile } from './prepare.mjs';

checkNode();
await buildJt();
await import(jtFile);
