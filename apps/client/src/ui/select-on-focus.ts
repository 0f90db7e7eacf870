/** An event of a field, as far as it is needed here. */
interface FieldEvent {
  readonly nativeEvent: unknown;
}

/**
 * What stands in a field is chosen when one comes to it, so that typing takes its place. The press that brought one there has to end first; what was typed
 * meanwhile stays: on a slow device that would else be overwritten by the next letter.
 */
export function selectOnFocus({ nativeEvent }: FieldEvent): void {
  const field = (nativeEvent as { target?: HTMLInputElement | null }).target;
  if (!field || typeof field.select !== 'function') return;
  const was = field.value;
  setTimeout(() => {
    if (field.value === was && document.activeElement === field) field.select();
  }, 0);
}
