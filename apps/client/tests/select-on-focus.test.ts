import { selectOnFocus } from '../src/ui/select-on-focus';

test('what stands in a field is chosen when one comes to it, but not what was typed before that was done', () => {
  jest.useFakeTimers();
  const field = document.createElement('input');
  const elsewhere = document.createElement('input');
  document.body.append(field, elsewhere);
  const chosen = jest.spyOn(field, 'select');
  const come = () => {
    field.focus();
    selectOnFocus({ nativeEvent: { target: field } });
  };
  field.value = 'Kitchen';
  come();
  jest.runAllTimers();
  expect(chosen).toHaveBeenCalledTimes(1);
  come();
  field.value = 'St';
  jest.runAllTimers();
  expect(chosen).toHaveBeenCalledTimes(1);
  // and nothing is chosen in a field one has left, or in what is none
  come();
  elsewhere.focus();
  jest.runAllTimers();
  selectOnFocus({ nativeEvent: {} });
  expect(chosen).toHaveBeenCalledTimes(1);
  jest.useRealTimers();
});
