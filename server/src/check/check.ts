/** What is known of a machine on which a school is to run. */
export interface MachineFacts {
  /** Addresses at which pupils would reach it, the likeliest first. */
  readonly addresses: readonly string[];
  /** The address that was set; null where none was. */
  readonly publicUrl: string | null;
  readonly behindProxy: boolean;
  readonly port: number;
  /** Who has the port: nobody, a Zeitpunkt, or another program. */
  readonly portUsedBy: 'nobody' | 'zeitpunkt' | 'other';
  /** Whether a Zeitpunkt answers at the address that was set, and what came instead; null where none is set, or none runs. */
  readonly answersThere: 'yes' | { readonly instead: string } | null;
  readonly nowMs: number;
  /** Of the program: no clock that is right stands before it. */
  readonly builtMs: number;
  /** Of the machine, "Europe/Berlin". */
  readonly timeZone: string;
  /** Of the disk on which the school lies. */
  readonly freeBytes: number;
  readonly schoolBytes: number;
  /** Why the directory of the school cannot be used; null where it can. */
  readonly directoryProblem: string | null;
  readonly backupsTo: string | null;
}

/** What was looked at, how it is, and what that means: it works, it is to be thought of, or no lesson works so. */
export interface Finding {
  readonly what: 'address' | 'port' | 'time' | 'disk' | 'rights' | 'proxy' | 'microphone' | 'backups';
  readonly how: 'fine' | 'mind' | 'wrong';
  readonly sentence: string;
}

/** Room for a school year of a few classes with recordings, in bytes. */
const ROOM_BYTES = 2 ** 30;
const ROOM_AT_LEAST_BYTES = 64 * 2 ** 20;

const megabytes = (bytes: number) => `${Math.round(bytes / 2 ** 20).toLocaleString('en')} MB`;

/** What is wrong with a machine, said before a lesson is. */
export function checkMachine(facts: MachineFacts): readonly Finding[] {
  return [
    addressOf(facts),
    portOf(facts),
    timeOf(facts),
    diskOf(facts),
    rightsOf(facts),
    proxyOf(facts),
    microphoneOf(facts),
    backupsOf(facts),
  ];
}

function addressOf({ addresses, publicUrl, answersThere }: MachineFacts): Finding {
  const what = 'address';
  if (publicUrl !== null && answersThere !== null && answersThere !== 'yes')
    return { what, how: 'wrong', sentence: `At ${publicUrl} this server does not answer: ${answersThere.instead}.` };
  if (publicUrl !== null)
    return { what, how: 'fine', sentence: `Pupils open ${publicUrl}/desk${answersThere === 'yes' ? ', and it answers there' : ''}.` };
  const [first = ''] = addresses;
  if (/^http:\/\/(localhost|127\.|\[::1\])/.test(first))
    return {
      what,
      how: 'wrong',
      sentence: 'This machine is in no network: no other device can reach it. Connect it, or say with --url how it is reached.',
    };
  return { what, how: 'fine', sentence: `Pupils in the same network open ${first}/desk.` };
}

function portOf({ port, portUsedBy }: MachineFacts): Finding {
  const what = 'port';
  if (portUsedBy === 'other')
    return { what, how: 'wrong', sentence: `Port ${port} is used by another program. Choose another one with --port.` };
  return { what, how: 'fine', sentence: portUsedBy === 'nobody' ? `Port ${port} is free.` : `A Zeitpunkt runs at port ${port}.` };
}

function timeOf({ nowMs, builtMs, timeZone }: MachineFacts): Finding {
  const what = 'time';
  const now = new Date(nowMs).toLocaleString('en-GB', { dateStyle: 'full', timeStyle: 'short', timeZone });
  if (nowMs < builtMs)
    return {
      what,
      how: 'wrong',
      sentence: `The machine believes that it is ${now}, which is before this program was made. Set its clock.`,
    };
  if (timeZone === 'UTC' || timeZone === 'Etc/UTC')
    return {
      what,
      how: 'mind',
      sentence: `It is ${now} here, by the time of UTC. Days and backups follow it; set the machine’s time zone if the school’s is another.`,
    };
  return { what, how: 'fine', sentence: `It is ${now} (${timeZone}).` };
}

function diskOf({ freeBytes, schoolBytes }: MachineFacts): Finding {
  const what = 'disk';
  const sentence = `${megabytes(freeBytes)} are free; the school takes ${megabytes(schoolBytes)}.`;
  if (freeBytes < ROOM_AT_LEAST_BYTES) return { what, how: 'wrong', sentence: `${sentence} Answers may not be kept any more.` };
  return freeBytes < ROOM_BYTES
    ? { what, how: 'mind', sentence: `${sentence} A year with recordings takes about 1,000 MB.` }
    : { what, how: 'fine', sentence };
}

function rightsOf({ directoryProblem }: MachineFacts): Finding {
  return directoryProblem === null
    ? { what: 'rights', how: 'fine', sentence: 'The directory of the school can be written to, and is read by its owner alone.' }
    : { what: 'rights', how: 'wrong', sentence: directoryProblem };
}

function proxyOf({ publicUrl, behindProxy }: MachineFacts): Finding {
  const what = 'proxy';
  const isHttps = publicUrl?.startsWith('https:') ?? false;
  if (isHttps && !behindProxy)
    return {
      what,
      how: 'wrong',
      sentence: 'HTTPS is spoken by a proxy before this server: start it with --proxy, or all pupils count as one address.',
    };
  if (behindProxy && !isHttps)
    return {
      what,
      how: 'mind',
      sentence:
        'A proxy is said to stand before this server, but the address that was set is not one of HTTPS. Whoever reaches it past the proxy can pretend to be anybody.',
    };
  return { what, how: 'fine', sentence: isHttps ? 'A proxy speaks HTTPS for it.' : 'No proxy is set.' };
}

function microphoneOf({ publicUrl }: MachineFacts): Finding {
  const what = 'microphone';
  return publicUrl?.startsWith('https:')
    ? { what, how: 'fine', sentence: 'Browsers allow the microphone, so lessons can be recorded from any device.' }
    : {
        what,
        how: 'mind',
        sentence: 'Without HTTPS browsers allow the microphone on this machine alone, at http://localhost: lessons are recorded here.',
      };
}

function backupsOf({ backupsTo }: MachineFacts): Finding {
  return backupsTo === null
    ? { what: 'backups', how: 'mind', sentence: 'No backups are made. Say with --backups where they go, best on another disk.' }
    : { what: 'backups', how: 'fine', sentence: `Backups go to ${backupsTo}.` };
}
