export { JobsScreen as default } from '../src/features/jobs/JobsScreen';
