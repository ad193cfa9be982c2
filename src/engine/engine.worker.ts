import * as Comlink from 'comlink';
import { Engine } from './engine';

Comlink.expose(new Engine());
