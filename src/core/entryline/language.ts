/** The words of a language that the entry line knows; another language is another table of this shape. */
export interface EntryLanguage {
  /** From Monday; the first form is the whole name. */
  readonly weekdays: readonly (readonly string[])[];
  /** From January; the first form is the whole name. */
  readonly months: readonly (readonly string[])[];
  readonly numbers: Readonly<Record<string, number>>;
  readonly ordinals: Readonly<Record<string, number>>;
  /** Days counted from today. */
  readonly near: Readonly<Record<string, number>>;
  /** Parts of the day: where they begin, and in which half of the day their hours lie; hours. */
  readonly dayParts: Readonly<Record<string, { readonly from: number; readonly half: 'am' | 'pm' }>>;
  /** Moments of the day that have names, in minutes. */
  readonly moments: Readonly<Record<string, number>>;
  /** Words of a title that tell which half of the day an hour means, and those beside which it is meant as written. */
  readonly evening: readonly string[];
  readonly morning: readonly string[];
  readonly timetable: readonly string[];
  /** Words behind which "at" and "in" begin no place. */
  readonly beforeNoPlace: Readonly<Record<'at' | 'in', readonly string[]>>;
  /** What stands behind "at" and "in" and is no place. */
  readonly noPlace: readonly string[];
  /** Words behind which a number is a name, never a time or a day. */
  readonly beforeNumber: readonly string[];
  /** Words that are often taken for misspelt names of days and months. */
  readonly spelt: readonly string[];
  /** Short names that are misspelt in a few ways. */
  readonly misspelt: Readonly<Record<string, string>>;
  /** Zones by usual abbreviations. */
  readonly zones: Readonly<Record<string, string>>;
}

export const ENGLISH: EntryLanguage = {
  weekdays: [
    ['monday', 'mon', 'mondays'],
    ['tuesday', 'tue', 'tues', 'tuesdays'],
    ['wednesday', 'wed', 'weds', 'wednesdays'],
    ['thursday', 'thu', 'thur', 'thurs', 'thursdays'],
    ['friday', 'fri', 'fridays'],
    ['saturday', 'sat', 'saturdays'],
    ['sunday', 'sun', 'sundays'],
  ],
  months: [
    ['january', 'jan'],
    ['february', 'feb'],
    ['march', 'mar'],
    ['april', 'apr'],
    ['may'],
    ['june', 'jun'],
    ['july', 'jul'],
    ['august', 'aug'],
    ['september', 'sep', 'sept'],
    ['october', 'oct'],
    ['november', 'nov'],
    ['december', 'dec'],
  ],
  numbers: {
    a: 1,
    an: 1,
    one: 1,
    two: 2,
    three: 3,
    four: 4,
    five: 5,
    six: 6,
    seven: 7,
    eight: 8,
    nine: 9,
    ten: 10,
    eleven: 11,
    twelve: 12,
    fifteen: 15,
    twenty: 20,
    'twenty-five': 25,
    'twenty five': 25,
    thirty: 30,
    forty: 40,
    'forty-five': 45,
    'forty five': 45,
    sixty: 60,
    ninety: 90,
    'a couple of': 2,
    'a few': 3,
  },
  ordinals: {
    first: 1,
    '1st': 1,
    second: 2,
    '2nd': 2,
    third: 3,
    '3rd': 3,
    fourth: 4,
    '4th': 4,
    fifth: 5,
    '5th': 5,
    last: -1,
    'second to last': -2,
    'last but one': -2,
  },
  near: {
    today: 0,
    tomorrow: 1,
    tmrw: 1,
    tmr: 1,
    tomo: 1,
    yesterday: -1,
    'day after tomorrow': 2,
    'the day after tomorrow': 2,
    'day before yesterday': -2,
    'the day before yesterday': -2,
  },
  dayParts: {
    morning: { from: 9, half: 'am' },
    afternoon: { from: 14, half: 'pm' },
    evening: { from: 19, half: 'pm' },
    night: { from: 20, half: 'pm' },
    tonight: { from: 20, half: 'pm' },
    lunchtime: { from: 12, half: 'pm' },
    am: { from: 9, half: 'am' },
    pm: { from: 14, half: 'pm' },
  },
  moments: { noon: 720, midday: 720, '12 noon': 720, '12 midday': 720, midnight: 1440, '12 midnight': 1440 },
  evening:
    'dinner|supper|drinks|drink|evening|theatre|theater|concert|party|pub|choir|film|movie|cinema|opera|bedtime|sunset'.split(
      '|',
    ),
  morning: 'breakfast|morning|sunrise|run|jog|swim|gym|wake|alarm'.split('|'),
  timetable:
    'train|flight|fly|ferry|bus|plane|boat|tram|check-in|departure|arrival|departs|arrives|tide'.split('|'),
  beforeNoPlace: {
    at: 'look|looking|arrive|point|aim|good|bad|stare|laugh|guess|marvel|throw|better|best'.split('|'),
    in: 'log|logging|logged|sign|signing|drop|hand|fill|type|plug|bring|come|get|believe|interested|change|increase|rise|fall|put|pop|dial|weigh|tune|zoom|break|cash|join|lock|chip|invest'.split(
      '|',
    ),
  },
  noPlace:
    'sick|progress|person|full|time|advance|general|english|charge|touch|detail|details|principle|case|total|part|parts|pairs|writing|private|public|two|three|order|question|once|all|least|last|length|risk|speed|any|first|stake|it|them|him|her|us|that|this|which|between|mind|hand|short|line|return|common|stock|kind|place|use|need|bulk|memory|law|particular|brief|house|step|sight|tune'.split(
      '|',
    ),
  beforeNumber:
    'room|rooms|flight|gate|platform|order|invoice|no|nr|number|page|pages|chapter|line|bus|train|tram|route|version|build|ticket|bill|item|items|part|section|block|tower|light|bay|berth|pier|house|flat|unit|lot|locker|ext|extension|model|type|form|level|floor|grade|step|phase|stage|week|wk|top|table|row|seat|channel|account|ref|case|file|box|report|plan|budget|agenda|vision|strategy|class|code|pin|about|from|between|review|year|draft|buoy'.split(
      '|',
    ),
  misspelt: {
    apirl: 'april',
    arpil: 'april',
    aprl: 'april',
    jully: 'july',
    juli: 'july',
    juen: 'june',
    evry: 'every',
    eveyr: 'every',
  },
  spelt: ['sundae', 'augusta', 'mondays', 'decembrist', 'marches'],
  zones: {
    utc: 'UTC',
    gmt: 'UTC',
    z: 'UTC',
    wet: 'Europe/Lisbon',
    west: 'Europe/Lisbon',
    bst: 'Europe/London',
    cet: 'Europe/Berlin',
    cest: 'Europe/Berlin',
    eet: 'Europe/Helsinki',
    eest: 'Europe/Helsinki',
    msk: 'Europe/Moscow',
    est: 'America/New_York',
    edt: 'America/New_York',
    et: 'America/New_York',
    cst: 'America/Chicago',
    cdt: 'America/Chicago',
    ct: 'America/Chicago',
    mst: 'America/Denver',
    mdt: 'America/Denver',
    mt: 'America/Denver',
    pst: 'America/Los_Angeles',
    pdt: 'America/Los_Angeles',
    pt: 'America/Los_Angeles',
    ast: 'America/Halifax',
    adt: 'America/Halifax',
    nst: 'America/St_Johns',
    ndt: 'America/St_Johns',
    brt: 'America/Sao_Paulo',
    sast: 'Africa/Johannesburg',
    gst: 'Asia/Dubai',
    ist: 'Asia/Kolkata',
    sgt: 'Asia/Singapore',
    hkt: 'Asia/Hong_Kong',
    jst: 'Asia/Tokyo',
    kst: 'Asia/Seoul',
    awst: 'Australia/Perth',
    acst: 'Australia/Adelaide',
    aest: 'Australia/Sydney',
    aedt: 'Australia/Sydney',
    nzst: 'Pacific/Auckland',
    nzdt: 'Pacific/Auckland',
  },
};
