import { type ChildProcess, execFileSync, spawn } from 'node:child_process';
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const DEPLOY = join(import.meta.dirname, '../../../deploy');

/** Ports of this machine that nobody listens to. */
export async function freePorts(count: number): Promise<number[]> {
  const held = await Promise.all(
    Array.from({ length: count }, async () => {
      const server = createServer();
      await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
      return server;
    }),
  );
  const ports = held.map((server) => (server.address() as AddressInfo).port);
  await Promise.all(held.map((server) => new Promise((resolve) => server.close(resolve))));
  return ports;
}

/** Debian's nginx with a file of deploy/, in a folder of its own; only where things lie and listen is another. */
export class Nginx {
  private constructor(
    readonly folder: string,
    private readonly child: ChildProcess,
  ) {}

  /** @param places what stands in the file, by what it is to be here: certificates are made */
  static async start(file: string, places: Readonly<Record<string, string>>): Promise<Nginx> {
    const folder = mkdtempSync(join(tmpdir(), 'zeitpunkt-nginx-'));
    mkdirSync(join(folder, 'snippets'));
    copyFileSync(join(DEPLOY, 'zeitpunkt-proxy.conf'), join(folder, 'snippets/zeitpunkt-proxy.conf'));
    const [key, certificate] = [join(folder, 'key.pem'), join(folder, 'certificate.pem')];
    const names = ['-subj', '/CN=localhost', '-addext', 'subjectAltName=DNS:localhost,DNS:*.localhost'];
    execFileSync(
      'openssl',
      ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', '-keyout', key, '-out', certificate, ...names],
      {
        stdio: 'ignore',
      },
    );
    let site = readFileSync(join(DEPLOY, file), 'utf8')
      .replace(/ssl_certificate .*;/, `ssl_certificate ${certificate};`)
      .replace(/ssl_certificate_key .*;/, `ssl_certificate_key ${key};`);
    for (const [there, here] of Object.entries(places)) {
      if (!site.includes(there)) throw new Error(`deploy/${file} does not say ${there}.`);
      site = site.replaceAll(there, here);
    }
    const own = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((name) => `${name}_temp_path ${folder}/${name};`).join('\n');
    const user = process.getuid?.() === 0 ? 'user root;\n' : '';
    writeFileSync(
      join(folder, 'nginx.conf'),
      `${user}daemon off;\npid ${folder}/pid;\nerror_log ${folder}/error.log;\nevents {}\nhttp {\naccess_log off;\n${own}\n${site}\n}\n`,
    );
    const child = spawn('/usr/sbin/nginx', ['-p', folder, '-e', join(folder, 'error.log'), '-c', join(folder, 'nginx.conf')], {
      stdio: 'inherit',
    });
    await new Promise<void>((resolve, reject) => {
      child.once('error', reject);
      child.once('exit', (code) => reject(new Error(`nginx ended with ${code}: ${readFileSync(join(folder, 'error.log'), 'utf8')}`)));
      const look = () => (isThere(join(folder, 'pid')) ? resolve() : setTimeout(look, 20));
      look();
    });
    return new Nginx(folder, child);
  }

  async stop(): Promise<void> {
    const gone = new Promise((resolve) => this.child.once('exit', resolve));
    this.child.kill('SIGTERM');
    await gone;
    rmSync(this.folder, { recursive: true, force: true });
  }
}

/** nginx writes its number once it listens. */
function isThere(file: string): boolean {
  try {
    return readFileSync(file, 'utf8').trim() !== '';
  } catch {
    return false;
  }
}
