import alone from './jest.config.js';
import { findTests, groups } from './scripts/together/files.mjs';

/**
 * The unit tests as npm test runs them: in a few realms that many files share. jest.config.js gives
 * each file its own; that is what an editor asks for, and the deep run.
 */
const [computation, components] = alone.projects;
const tests = findTests(process.cwd());

const groupsOf = (project, names) => ({
  ...project,
  displayName: `${project.displayName}, together`,
  testMatch: names.map((name) => `<rootDir>/scripts/together/groups/${name}.ts`),
  globals: { ...project.globals, LEVITAR_TOGETHER: tests.together },
});
const ofItself = (project, ending) => ({
  ...project,
  testMatch: tests.alone.filter((file) => file.endsWith(ending)).map((file) => `<rootDir>/${file}`),
});

export default {
  ...alone,
  testSequencer: '<rootDir>/scripts/together/order.mjs',
  projects: [
    groupsOf(
      computation,
      groups.filter((name) => name !== 'components'),
    ),
    groupsOf(components, ['components']),
    ofItself(computation, '.test.ts'),
    ofItself(components, '.test.tsx'),
    // One without files would take all there are.
  ].filter(({ testMatch }) => testMatch.length > 0),
};
