import * as rooms from '@velvet-tape/core/later';
import { come } from './to-come';

come(rooms);
