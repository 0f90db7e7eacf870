export { NewJobScreen as default } from '../src/features/jobs/NewJobScreen';
