module.exports = {
  forbidden: [
    // No circle of imports of any kind, types as well: what a folder needs it has below it.
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    // What a folder of the core hands out is for the others: the core's own files name the file they use.
    {
      name: 'no-door-from-inside',
      severity: 'error',
      from: { path: '^src/core/.+', pathNot: '^src/core/index\\.ts$' },
      to: { path: ['^src/core/index\\.ts$', '^src/core/[^/]+/index\\.ts$'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: ['\\.test\\.tsx?$', 'node_modules'] },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.cjs'] },
  },
};
