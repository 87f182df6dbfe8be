import { spawn, type ChildProcess } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
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
  ) {}

  static async open(command: "serve" | "demo" = "serve"): Promise<Kitchen> {
    const kitchen = new Kitchen(command, await freePort());
    await kitchen.start();
    return kitchen;
  }

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async start(): Promise<void> {
    const child = spawn(
      binary,
      [this.command, "--addr", `127.0.0.1:${this.port}`, "--data", this.folder],
      { stdio: ["ignore", "ignore", "inherit"] },
    );
    this.child = child;
    for (let i = 0; i < 200; i++) {
      const ok = await fetch(`${this.url}/api/health`).then(
        (r) => r.ok,
        () => false,
      );
      if (ok) return;
      await new Promise((r) => setTimeout(r, 25));
    }
    throw new Error("the program does not answer");
  }

  /** Stops the program as a service manager would; fails when it takes over 5 s. */
  async stop(): Promise<void> {
    const child = this.child;
    if (!child) return;
    this.child = null;
    const ended = new Promise<number | null>((r) => child.once("exit", (code) => r(code)));
    child.kill("SIGTERM");
    const late = new Promise<"late">((r) => setTimeout(() => r("late"), 5_000).unref());
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
