import * as Comlink from 'comlink';
import { Files } from './files';

Comlink.expose(new Files());
