import type { StageKey } from '@/core/catalog/stage';
import type { PlacingView } from '../read';

const rung = (stage: StageKey, label: string) => ({
  stage,
  label,
  how: '',
  move: null,
  picture: null,
  pieces: [],
});
/** One of whom a word was said, and two of whom none was; one has a shape that is closed. */
export const placing: PlacingView = {
  rungs: {
    'forearm-stand': [rung('FS1', 'Base'), rung('FS2', 'Plank')],
    headstand: [rung('HS1', 'Neck')],
    handstand: [],
    'shoulder-stand': [],
    'arm-balance': [],
  },
  families: ['forearm-stand'],
  people: [
    { id: 1, name: 'Ada', said: { 'forearm-stand': 'FS1' }, closed: [] },
    { id: 2, name: 'Bo', said: {}, closed: ['FS2'] },
    { id: 3, name: 'Cy', said: {}, closed: [] },
  ],
};
