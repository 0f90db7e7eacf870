import type { LaserMeter, MeterStatus } from './laser-meter';

/** What the simulated house is like: the true distance that is aimed at, mm; null when the beam meets nothing. */
export type Aim = () => number | null;

interface Habits {
  /** Standard deviation of a value, mm: as data sheets of hand-held meters have it. */
  readonly deviation: number;
  /** How often it measures to something standing in the way, and how often the beam is not returned. */
  readonly slips: number;
  readonly dropOuts: number;
  /** How long it takes, ms. */
  readonly takes: number;
}

const USUAL: Habits = { deviation: 2, slips: 0.06, dropOuts: 0.05, takes: 350 };

/** A laser meter to practise with where there is none: it has the noise of a real one, and its slips and drop-outs. */
export class SimulatedMeter implements LaserMeter {
  status: MeterStatus = { state: 'off', battery: null, trouble: null };
  private readonly listeners = new Set<Parameters<LaserMeter['listen']>[0]>();
  private readonly habits: Habits;

  constructor(
    private readonly aim: Aim,
    habits: Partial<Habits> = {},
    private readonly random: () => number = Math.random,
  ) {
    this.habits = { ...USUAL, ...habits };
  }

  async connect(): Promise<void> {
    this.become({ state: 'connecting', battery: null, trouble: null });
    await this.while();
    this.become({ state: 'ready', battery: 0.84, trouble: null });
  }

  disconnect(): void {
    this.become({ state: 'off', battery: null, trouble: null });
  }

  async measure(): Promise<void> {
    if (this.status.state !== 'ready') return;
    this.become({ ...this.status, state: 'measuring', trouble: null });
    await this.while();
    if ((this.status.state as string) !== 'measuring') return;
    const distance = this.aim();
    const battery = Math.max(0.05, (this.status.battery ?? 1) - 0.002);
    if (distance === null || this.random() < this.habits.dropOuts) {
      this.become({ state: 'ready', battery, trouble: 'The beam did not come back. Aim again.' });
      return;
    }
    this.become({ state: 'ready', battery, trouble: null });
    const value = this.random() < this.habits.slips ? this.inTheWay(distance) : distance + this.noise();
    for (const { value: hear } of this.listeners) hear?.(Math.round(value * 10) / 10);
  }

  stream(): () => void {
    let on = true;
    const next = async () => {
      while (on && this.status.state === 'ready') await this.measure();
    };
    void next();
    return () => (on = false);
  }

  listen(on: Parameters<LaserMeter['listen']>[0]): () => void {
    this.listeners.add(on);
    return () => this.listeners.delete(on);
  }

  /** To a door frame, a radiator, a curtain. */
  private inTheWay(distance: number): number {
    return distance - (60 + 240 * this.random());
  }

  /** Normally distributed (Box and Muller). */
  private noise(): number {
    const far = Math.sqrt(-2 * Math.log(1 - this.random()));
    return this.habits.deviation * far * Math.cos(2 * Math.PI * this.random());
  }

  private become(status: MeterStatus): void {
    this.status = status;
    for (const { status: hear } of this.listeners) hear?.(status);
  }

  private while(): Promise<void> {
    return new Promise((done) => setTimeout(done, this.habits.takes));
  }
}
