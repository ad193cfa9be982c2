import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** The keys and texts that everything is kept in. `setMany` is one transaction: all of it or nothing. */
export interface Database {
  getItem(key: string): Promise<string | null>;
  getMany(keys: string[]): Promise<Record<string, string | null>>;
  getAllKeys(): Promise<string[]>;
  setItem(key: string, value: string): Promise<void>;
  setMany(entries: Record<string, string>): Promise<void>;
  removeItem(key: string): Promise<void>;
  removeMany(keys: string[]): Promise<void>;
}

/** The browser's database (IndexedDB, by AsyncStorage). */
export const openDatabase = (name = 'orderly-week'): Database => createAsyncStorage(name);
