declare module 'gltf-validator' {
  const validator: {
    validateBytes(bytes: Uint8Array): Promise<{
      issues: {
        numErrors: number;
        numWarnings: number;
        messages: { severity: number; code: string; pointer?: string }[];
      };
    }>;
  };
  export default validator;
}
