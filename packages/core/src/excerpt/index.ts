export * from './excerpt';
export * from './preview-edit';
