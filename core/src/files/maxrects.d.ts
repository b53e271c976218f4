// The package's own entry is no module for Node; its module has no types beside it.
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export * from 'maxrects-packer';
}
