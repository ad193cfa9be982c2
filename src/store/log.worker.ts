import * as Comlink from 'comlink';
import { browserChannel, LOG_NAME } from './browserLog';
import { openDatabase } from './database';
import { databaseLog } from './databaseLog';

const { append } = databaseLog(openDatabase(LOG_NAME), browserChannel());
Comlink.expose({ append });
