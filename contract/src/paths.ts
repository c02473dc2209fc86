/** Every address of the API; `:names` are filled by `at`. */
export const paths = {
  session: '/api/session',
  teacherSession: '/api/session/teacher',
  studentSession: '/api/session/student',
  password: '/api/session/password',
  everySession: '/api/session/everywhere',
  events: '/api/events',
  bench: '/api/bench',
  settings: '/api/bench/settings',
  setting: '/api/bench/settings/:settingId',
  attempts: '/api/bench/settings/:settingId/attempts',
  words: '/api/bench/settings/:settingId/words',
  presets: '/api/bench/settings/:settingId/presets',
  which: '/api/bench/which',
  question: '/api/question',
  takeQuestion: '/api/questions/:questionId/settings',
  feed: '/api/balance',
  takeFeed: '/api/balance/readings',
  conventions: '/api/conventions',
  drills: '/api/drills',
  drillItems: '/api/drills/items',
  drillItem: '/api/drills/items/:itemId',
  drillAttempts: '/api/drills/items/:itemId/attempts',
  rearranged: '/api/rearranged',
  spotted: '/api/spotted',
  calculations: '/api/logbooks/:logbookId/calculations',
  logbooks: '/api/logbooks',
  logbook: '/api/logbooks/:logbookId',
  reviews: '/api/logbooks/:logbookId/reviews',
  initials: '/api/logbooks/:logbookId/initials',
  marks: '/api/classes/:classId/marks',
  entries: '/api/logbooks/:logbookId/entries',
  blocks: '/api/logbooks/:logbookId/blocks',
  photo: '/api/logbooks/:logbookId/photos/:photoId',
  beginLogbook: '/api/classes/:classId/logbooks',
  openLogbook: '/api/investigations/:investigationId/logbook',
  investigations: '/api/classes/:classId/investigations',
  investigation: '/api/classes/:classId/investigations/:investigationId',
  pool: '/api/classes/:classId/investigations/:investigationId/logbooks',
  readings: '/api/classes/:classId/readings',
  comparisons: '/api/classes/:classId/comparisons',
  comparison: '/api/classes/:classId/comparisons/:comparisonId',
  stock: '/api/stock',
  piece: '/api/stock/:pieceId',
  materials: '/api/materials',
  material: '/api/materials/:materialId',
  classes: '/api/classes',
  class: '/api/classes/:classId',
  staff: '/api/classes/:classId/staff',
  staffMember: '/api/classes/:classId/staff/:personId',
  wholeClass: '/api/classes/:classId/everything',
  deletion: '/api/classes/:classId/deletion',
  houseRules: '/api/classes/:classId/rules',
  ownTasks: '/api/tasks',
  tasks: '/api/classes/:classId/tasks',
  task: '/api/classes/:classId/tasks/:taskId',
  ownCall: '/api/call',
  calls: '/api/classes/:classId/calls',
  call: '/api/classes/:classId/calls/:callId',
  benches: '/api/classes/:classId/benches',
  board: '/api/classes/:classId/board',
  atHand: '/api/classes/:classId/now',
  classQuestion: '/api/classes/:classId/question',
  revealQuestion: '/api/classes/:classId/question/answer',
  classStation: '/api/classes/:classId/station',
  student: '/api/classes/:classId/students/:studentId',
  students: '/api/classes/:classId/students',
  slips: '/api/classes/:classId/slips',
} as const;

/** An address with its names filled in. @throws RangeError when one is missing. */
export function at(path: string, names: Readonly<Record<string, string>>): string {
  return path.replace(/:(\w+)/g, (_, name: string) => {
    const value = names[name];
    if (value === undefined) throw new RangeError(`The address ${path} needs “${name}”.`);
    return encodeURIComponent(value);
  });
}

/** The names that an address was filled in with; null for one of another shape. */
export function namesOf(path: string, filled: string): Readonly<Record<string, string>> | null {
  const [shape, parts] = [path.split('/'), (filled.split('?')[0] ?? '').split('/')];
  if (shape.length !== parts.length) return null;
  const names: Record<string, string> = {};
  for (const [nth, piece] of shape.entries()) {
    const part = parts[nth] ?? '';
    if (piece.startsWith(':')) names[piece.slice(1)] = decodeURIComponent(part);
    else if (piece !== part) return null;
  }
  return names;
}
