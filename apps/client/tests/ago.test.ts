import { ago } from '../src/features/jobs/ago';

test('how long ago is said in the largest unit there is one of', () => {
  const now = new Date('2026-06-15T12:00:00Z');
  const said = (seconds: number) => ago(new Date(now.getTime() - seconds * 1000), now);
  expect([-5, 0, 59].map(said)).toEqual(['just now', 'just now', 'just now']);
  expect([60, 3599, 3600, 86_399, 86_400, 6 * 86_400, 7 * 86_400, 45 * 86_400, 800 * 86_400].map(said)).toEqual([
    '1 minute ago',
    '59 minutes ago',
    '1 hour ago',
    '23 hours ago',
    '1 day ago',
    '6 days ago',
    '1 week ago',
    '1 month ago',
    '2 years ago',
  ]);
});
