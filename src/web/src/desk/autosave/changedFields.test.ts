import { describe, expect, it } from 'vitest';
import { changedFields, withFields } from './changedFields';

const client = {
  name: 'Rower',
  note: 'Private',
  profile: { level: 'beginner', soreJoints: [{ joint: 'knee' }], bodyMassKg: 80, statureCm: 180 },
};

describe('the fields that were typed', () => {
  it('are all that is kept, and give the record back', () => {
    const typed = {
      ...client,
      profile: { level: 'advanced', soreJoints: [], bodyMassKg: null, minutes: 40 },
    };
    const fields = changedFields(client, typed);

    expect(JSON.stringify(fields)).not.toContain('Private');
    expect(fields.map((f) => f.path.join('.')).sort()).toEqual([
      'profile.bodyMassKg',
      'profile.level',
      'profile.minutes',
      'profile.soreJoints',
      'profile.statureCm',
    ]);
    // Through the text in which the browser keeps it.
    expect(withFields(client, JSON.parse(JSON.stringify(fields)) as typeof fields)).toEqual(typed);
  });

  it('go onto what somebody else saved meanwhile, and leave the rest of it alone', () => {
    const fields = changedFields(client, { ...client, name: 'Sculler' });
    expect(withFields({ ...client, note: 'Newer' }, fields)).toEqual({
      ...client,
      name: 'Sculler',
      note: 'Newer',
    });
  });

  it('of what is no record are the whole', () => {
    expect(withFields('old', changedFields('old', 'new'))).toBe('new');
    expect(changedFields(client, structuredClone(client))).toEqual([]);
  });
});
