type Answer = unknown | ((body: unknown) => unknown);

/** Stands for the server in a test: answers what it was told to, keeps what it was asked, and can be out of reach. */
export class FakeServer {
  readonly asked: { readonly route: string; readonly body: unknown }[] = [];
  reachable = true;
  private readonly answers = new Map<string, Answer>();

  constructor(answers: Record<string, Answer> = {}) {
    for (const [route, answer] of Object.entries(answers)) this.on(route, answer);
    window.fetch = (url, init) => unlessStopped(this.reply(`${init?.method ?? 'GET'} ${String(url)}`, init?.body), init?.signal ?? null);
  }

  /** @param route method and path, such as "GET /api/dials" */
  on(route: string, answer: Answer): void {
    this.answers.set(route, answer);
  }

  /** The bodies sent to a route, oldest first. */
  sent(route: string): unknown[] {
    return this.asked.filter((one) => one.route === route).map(({ body }) => body);
  }

  private async reply(route: string, text: BodyInit | null | undefined): Promise<Response> {
    const body: unknown = typeof text === 'string' ? JSON.parse(text) : undefined;
    this.asked.push({ route, body });
    if (!this.reachable) throw new TypeError('fetch failed');
    if (!this.answers.has(route)) throw new Error(`The test has no answer to ${route}`);
    const answer = this.answers.get(route);
    const given: unknown = await (typeof answer === 'function' ? (answer as (body: unknown) => unknown)(body) : answer);
    const refused = given instanceof Refusal;
    const status = refused ? given.status : given === undefined ? 204 : 200;
    const type = refused ? 'application/problem+json' : 'application/json';
    return { ok: !refused, status, headers: new Headers({ 'content-type': type }), json: async () => given } as Response;
  }
}

/** A reply is not waited for when the page has given it up. */
function unlessStopped(reply: Promise<Response>, signal: AbortSignal | null): Promise<Response> {
  if (!signal) return reply;
  const stopped = new Promise<never>((_, reject) => signal.addEventListener('abort', () => reject(signal.reason as Error)));
  return Promise.race([reply, stopped]);
}

/** A problem as the server says it. */
export class Refusal {
  constructor(
    readonly code: string,
    readonly detail: string,
    readonly status = 409,
  ) {}
}
