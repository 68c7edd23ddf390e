// No room (folder) of core or study depends on one that depends on it. Tests may look into any room.
const { options } = require('./.dependency-cruiser.cjs');

module.exports = {
  forbidden: [
    {
      name: 'no-room-cycles',
      comment: 'no folder depends on one that depends on it',
      severity: 'error',
      scope: 'folder',
      from: { path: '^(core|study)/src/.' },
      to: { circular: true },
    },
  ],
  options: {
    ...options,
    exclude: { path: '((^|/)(dist|node_modules)/)|(\\.test\\.ts$)|(/src/index\\.ts$)' },
  },
};
