/** No file may come round to itself through what it imports, and nothing in core may be imported but by its doors. */
module.exports = {
  forbidden: [
    {
      name: 'no-cycle',
      severity: 'error',
      comment: 'two files that import each other are one file, or three',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-folder-cycle',
      severity: 'error',
      comment: 'of two folders one stands on the other',
      scope: 'folder',
      from: {},
      to: { circular: true },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(^|/)(dist|node_modules|testing)/|[.]test[.]tsx?$' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'default'],
      extensions: ['.ts', '.tsx', '.mjs', '.js'],
    },
  },
};
