import { selectOnFocus } from '../src/ui/select-on-focus';

test('what stands in a field is chosen when one comes to it, but not what was typed before that was done', () => {
  jest.useFakeTimers();
  const chosen: string[] = [];
  const field = { value: 'Kitchen', select: () => chosen.push(field.value) };
  Object.defineProperty(globalThis, 'document', { configurable: true, value: { activeElement: field } });
  selectOnFocus({ nativeEvent: { target: field } });
  jest.runAllTimers();
  expect(chosen).toEqual(['Kitchen']);
  selectOnFocus({ nativeEvent: { target: field } });
  field.value = 'St';
  jest.runAllTimers();
  expect(chosen).toEqual(['Kitchen']);
  // and nothing is chosen in a field one has left, or that is none
  selectOnFocus({ nativeEvent: { target: field } });
  Object.defineProperty(globalThis, 'document', { configurable: true, value: { activeElement: null } });
  jest.runAllTimers();
  selectOnFocus({ nativeEvent: {} });
  expect(chosen).toEqual(['Kitchen']);
  jest.useRealTimers();
});
