declare module 'dxf' {
  export class Helper {
    constructor(dxf: string);
    readonly parsed: unknown;
  }
}
