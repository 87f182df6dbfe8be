import { execFileSync, spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { get } from "node:https";
import { createServer } from "node:net";
import { tmpdir } from "node:os";
import { join } from "node:path";

const binary = join(import.meta.dirname, "..", "bin", "yembra");

/** The real program on a free port, with a data folder of its own. */
export class Kitchen {
  private child: ChildProcess | null = null;
  readonly folder = mkdtempSync(join(tmpdir(), "yembra-e2e-"));
  private constructor(
    private readonly command: "serve" | "demo",
    readonly port: number,
    /** The passphrase of a kitchen that other machines can reach, empty for none. */
    readonly passphrase: string,
  ) {}

  static async open(
    command: "serve" | "demo" = "serve",
    passphrase = "",
  ): Promise<Kitchen> {
    const kitchen = new Kitchen(command, await freePort(), passphrase);
    if (passphrase !== "") {
      execFileSync(binary, ["passphrase", "--data", kitchen.folder], {
        input: passphrase,
      });
    }
    await kitchen.start();
    return kitchen;
  }

  get url(): string {
    return `${this.passphrase === "" ? "http" : "https"}://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const child = spawn(
      binary,
      [
        this.command,
        "--addr",
        `${this.passphrase === "" ? "127.0.0.1" : "0.0.0.0"}:${this.port}`,
        "--data",
        this.folder,
      ],
      { stdio: ["ignore", "ignore", "inherit"] },
    );
    this.child = child;
    for (let i = 0; i < 200; i++) {
      if (await this.answers()) return;
      await new Promise((r) => setTimeout(r, 25));
    }
    throw new Error("the program does not answer");
  }

  /** Whether it answers; a certificate of its own is taken as it is. */
  private answers(): Promise<boolean> {
    const health = `${this.url}/api/health`;
    if (this.passphrase === "") {
      return fetch(health).then(
        (r) => r.ok,
        () => false,
      );
    }
    return new Promise((resolve) => {
      get(health, { rejectUnauthorized: false }, (r) => {
        r.resume();
        resolve(r.statusCode === 200);
      }).on("error", () => resolve(false));
    });
  }

  /** Stops the program as a service manager would; fails when it takes over 5 s. */
  async stop(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    const ended = new Promise<number | null>((r) =>
      child.once("exit", (code) => r(code)),
    );
    child.kill("SIGTERM");
    const late = new Promise<"late">((r) =>
      setTimeout(() => r("late"), 5_000).unref(),
    );
    const code = await Promise.race([ended, late]);
    if (code !== 0) throw new Error(`the program ended with ${code}`);
  }

  /** Ends the program as a power cut would. */
  async kill(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    const ended = new Promise<void>((r) => child.once("exit", () => r()));
    child.kill("SIGKILL");
    await ended;
  }

  async close(): Promise<void> {
    await this.stop();
    rmSync(this.folder, { recursive: true, force: true });
  }
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once("error", reject);
    probe.listen(0, "127.0.0.1", () => {
      const address = probe.address();
      const port = typeof address === "object" && address ? address.port : 0;
      probe.close(() => resolve(port));
    });
  });
}
