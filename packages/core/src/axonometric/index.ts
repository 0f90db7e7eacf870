export * from './cut-mesh';
export * from './draw';
export * from './lines-of';
export * from './projection';
export * from './seen-of';
