import { choiceIn, choicesOf, eyeAspectIds, getAspect } from '../catalog/eye';
import { getFault } from '../catalog/faults';
import { describeChanges, profileChangesSchema } from '../catalog/profileChanges';
import { buildSchool, shippedCatalog, shippedProfile, shippedSchool } from '../catalog/school';
import { lookAt, sayAt, watchAt } from './eyeWords';

const school = shippedSchool('play-led');

describe('the words for the eye', () => {
  it('are said in the shapes they belong to, the cue of the profile first', () => {
    const kick = sayAt(shippedSchool('prop-led'), 'FS10');
    expect(kick[0]).toBe('Squeeze the block.');
    expect(kick).toContain('Forearms parallel, little finger in line with elbow.');
    expect(sayAt(school, 'FS10')).toContain(
      'Hands a little closer than the elbows, and push the elbows apart from there.',
    );
    expect(sayAt(school, 'HB8')).toContain('Shoulders over the wrists.');
  });

  it('say nothing that would be wrong there', () => {
    // The dog and crow keep their shoulders elsewhere; clasped hands are no parallel forearms;
    // feet on the floor are not pointed.
    for (const stage of ['HB2', 'CR6', 'HB6b'] as const) {
      expect(sayAt(school, stage).join()).not.toMatch(/over the (wrist|first knuckle)/);
    }
    expect(sayAt(school, 'HS3').join()).not.toMatch(/elbows apart|parallel/);
    for (const stage of ['FS5', 'FS8', 'HS5', 'HB8'] as const) {
      expect(sayAt(school, stage).join()).not.toMatch(/pointed|shins/);
    }
    expect(sayAt(school, 'SS1')).toEqual([]);
    expect(sayAt(school, 'own-nothing')).toEqual([]);
  });

  it('follow a copy that sets them otherwise, and say what changed', () => {
    const changes = profileChangesSchema.parse({
      settings: { shoulderPlace: 'knuckle', gaze: 'down' },
    });
    const copy = { ...shippedProfile('play-led'), key: 'mine', changes };
    const own = buildSchool(copy as typeof copy & Parameters<typeof buildSchool>[0]);
    expect(sayAt(own, 'HB8')).toContain('Shoulders over the first knuckles.');
    expect(describeChanges(own.profile, shippedCatalog)).toEqual([
      {
        what: 'Shoulders over the hands',
        before: 'over the wrist',
        after: 'over the first knuckle',
      },
      { what: 'Gaze', before: 'between the thumbs', after: 'straight down' },
    ]);
    expect(profileChangesSchema.safeParse({ settings: { gaze: 'up' } }).success).toBe(false);
  });

  it('speak of a person’s own hands where the school has them otherwise, and of nothing that contradicts', () => {
    const propLed = shippedSchool('prop-led');
    const clasped = sayAt(propLed, 'FS10', 'clasped');
    expect(clasped[0]).toMatch(/^Hands clasped/);
    expect(clasped.join()).not.toMatch(/block|parallel/);
    expect(clasped.length).toBe(sayAt(propLed, 'FS10').length - 1);
    // The school's own way, and a stage that the hands do not decide, say what they always say.
    expect(sayAt(propLed, 'FS10', 'block')).toEqual(sayAt(propLed, 'FS10'));
    expect(sayAt(propLed, 'HB8', 'clasped')).toEqual(sayAt(propLed, 'HB8'));
  });

  it('of a school that clasps speak of clasped hands to everybody, and of no parallel forearms', () => {
    const copy = {
      ...shippedProfile('prop-led'),
      key: 'clasped',
      changes: { settings: { forearmHands: 'clasped' } },
    } as Parameters<typeof buildSchool>[0];
    const said = sayAt(buildSchool(copy), 'FS10');
    expect(said[0]).toBe('Squeeze the block.');
    expect(said[1]).toMatch(/^Hands clasped/);
    expect(said.join()).not.toContain('parallel');
    const flat = sayAt(buildSchool(copy), 'FS10', 'flat');
    expect(flat[0]).toMatch(/^Hands flat/);
    expect(flat).toContain('Forearms parallel, little finger in line with elbow.');
  });

  it('watch for what shows that the school’s own shoulder action is not done', () => {
    const drawnIn = shippedSchool('prop-led');
    expect(drawnIn.settings.shoulderAction).toBe('drawn-in');
    expect(school.settings.shoulderAction).toBe('tall');
    expect(watchAt(drawnIn, 'FS10')).toContain('shrugs');
    expect(watchAt(drawnIn, 'FS10')).not.toContain('upper back collapses');
    expect(watchAt(school, 'FS10')).toContain('upper back collapses');
    expect(watchAt(school, 'FS10')).not.toContain('shrugs');
    // What voids the stage stands first, and nothing twice.
    const all = watchAt(school, 'FS10');
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBe(school.stages.get('FS10')!.spec.faults.length + 1);
    // No weight on the arms: nothing is added.
    expect(watchAt(school, 'SS1').length).toBe(
      school.stages.get('SS1')!.spec.faults.filter((fault) => !getFault(fault).isPrivate).length,
    );
  });

  it('stand in a few words on paper, the same aspects as are said', () => {
    expect(lookAt(school, 'HB8')).toEqual(
      expect.arrayContaining(['shoulders over the wrists', 'shoulders pressed tall']),
    );
    expect(lookAt(shippedSchool('prop-led'), 'FS10', 'clasped').join()).not.toMatch(/parallel/);
    expect(lookAt(school, 'SS1')).toEqual([]);
  });

  it('have words for every choice', () => {
    for (const id of eyeAspectIds) {
      expect(choicesOf(id).length).toBeGreaterThan(1);
      expect(getAspect(id).shapes.length).toBeGreaterThan(0);
      for (const choice of choicesOf(id)) expect(choiceIn(id, choice).say).toMatch(/\.$/);
    }
    expect(() => choiceIn('gaze', 'wrist')).toThrow(RangeError);
  });

  it('tell nobody but the teacher to watch for what says something of health', () => {
    const { spec } = school.stages.get('HS5')!;
    expect(spec.faults).toContain('neck-strain');
    expect(watchAt(school, 'HS5')).not.toContain('neck strain');
    expect(watchAt(school, 'own-nothing')).toEqual([]);
  });
});
