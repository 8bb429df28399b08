const { options } = require('./.dependency-cruiser.cjs');

/** Folders of a workspace point one way. Tests are left out: they may read whoever uses what they test. */
module.exports = {
  forbidden: [
    {
      name: 'folders-point-one-way',
      severity: 'error',
      comment: 'a folder reads those below it and is read by those above it: docs/architecture.md draws them',
      scope: 'folder',
      from: { path: '^(core|contract|server|web|demo|stand-ins)/src/[^/]+$' },
      to: { circular: true },
    },
  ],
  options: { ...options, exclude: { path: '(^|/)dist/|\\.test\\.tsx?$|/testing/' } },
};
