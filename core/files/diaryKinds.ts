/** What the diary of the desk notes. A line says who, when and which of these, never about whom. */
export const diaryTable = {
  'signed-in': 'signed in',
  'wrong-passphrase': 'a wrong passphrase',
  'passphrase-changed': 'passphrase changed',
  'recovery-used': 'recovery code used',
  'let-in': 'device let in',
  'put-out': 'device put out',
  exported: 'handed out as a file',
  imported: 'file taken in',
  restored: 'a copy taken back',
  'began-anew': 'begun anew',
  emptied: 'studio emptied',
  deleted: 'somebody deleted',
  merged: 'two entries merged',
  'note-entered': 'a clinician’s note entered',
  'note-removed': 'a clinician’s note removed',
  'sign-lifted': 'a stop sign lifted',
  'profile-changed': 'profile changed',
} as const;

export type DiaryKind = keyof typeof diaryTable;

export const diaryKinds = Object.keys(diaryTable) as [DiaryKind, ...DiaryKind[]];
