import * as Comlink from 'comlink';
import './randomUuid';
import { Files } from './files';

Comlink.expose(new Files());
