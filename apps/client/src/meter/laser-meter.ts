/** What a laser meter is doing. */
export type MeterState = 'off' | 'connecting' | 'ready' | 'measuring' | 'lost';

export interface MeterStatus {
  readonly state: MeterState;
  /** 0 to 1; null while it is not known. */
  readonly battery: number | null;
  /** What went wrong last, in plain words. */
  readonly trouble: string | null;
}

/** A laser meter as the application sees it, whatever it is connected by. */
export interface LaserMeter {
  readonly status: MeterStatus;
  connect(): Promise<void>;
  disconnect(): void;
  /** Fires the beam once. The value comes to those who listen, as those do that are fired on the meter itself. */
  measure(): Promise<void>;
  /** Measures on and on until stopped; gives what stops it. */
  stream(): () => void;
  /** Listens to values, mm, and to changes of the status; gives what ends it. */
  listen(on: { value?(mm: number): void; status?(status: MeterStatus): void }): () => void;
}
