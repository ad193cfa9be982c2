// For browsers without Temporal of their own.
import 'temporal-polyfill/global';
import './files.worker';
