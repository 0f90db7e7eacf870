import { keepLogo, keptLogo } from '../src/features/jobs/kept-logo';
import { fetchLogo, putLogo } from '../src/sync/api';
import { Offline } from '../src/sync/http';

jest.mock('../src/sync/api', () => ({ fetchLogo: jest.fn(), putLogo: jest.fn() }));
const [fetched, put] = [fetchLogo, putLogo] as unknown as [jest.Mock, jest.Mock];
const mockDevice = new Map<string, string>();
jest.mock('../src/ui/remembered', () => ({
  recall: (key: string) => mockDevice.get(key) ?? null,
  remember: (key: string, text: string) => mockDevice.set(key, text),
}));

const LOGO = { picture: 'pic-a', width: 300, height: 150 };
const settled = () => new Promise((resolve) => setTimeout(resolve, 0));
beforeEach(() => {
  mockDevice.clear();
  fetched.mockReset();
  put.mockReset();
});

test('kept with a connection it is the server’s; a new job has what the server has', async () => {
  put.mockResolvedValue(undefined);
  keepLogo(LOGO);
  await settled();
  expect(put.mock.calls).toEqual([[LOGO]]);
  fetched.mockResolvedValue({ logo: LOGO });
  expect(await keptLogo()).toEqual(LOGO);
  // another device has taken it away since
  fetched.mockResolvedValue({ logo: null });
  expect(await keptLogo()).toBeNull();
  // and so it is known here, without a connection too
  fetched.mockRejectedValue(new Offline());
  expect(await keptLogo()).toBeNull();
});

test('kept without one a new job has it all the same, and the server is told with the next', async () => {
  put.mockRejectedValue(new Offline());
  keepLogo(LOGO);
  await settled();
  expect(await keptLogo()).toEqual(LOGO);
  put.mockResolvedValue(undefined);
  expect(await keptLogo()).toEqual(LOGO);
  await settled();
  expect(put).toHaveBeenCalledTimes(3);
  // now the server is asked again, and not before
  expect(fetched).not.toHaveBeenCalled();
  fetched.mockResolvedValue({ logo: LOGO });
  await keptLogo();
  expect(fetched).toHaveBeenCalledTimes(1);
  expect(put).toHaveBeenCalledTimes(3);
});

test('what a device remembers wrongly, or a server says oddly, is no logo', async () => {
  fetched.mockResolvedValue({ logo: { picture: 'x' } });
  for (const odd of ['{"logo":{"picture":7}}', 'no json', '{}']) {
    mockDevice.set('logo', odd);
    expect(await keptLogo()).toBeNull();
  }
});
