import { build, checkNode, install } from './prepare.mjs';

checkNode();
install();
build({ always: true });
