import type { RelatedTo } from '../model/relatedTo';
import type { PropertyCodec } from './field';

/** RELATED-TO (RFC 5545 3.8.4.5). */
export const relatedToProperty: PropertyCodec<RelatedTo[] | undefined> = {
  names: ['related-to'],
  isRepeated: true,
  holdsParameters: true,
  read: ({ all }) => {
    const related = all('related-to').map(([, parameters, , uid]) => ({ uid: String(uid), parameters }));
    return related.length > 0 ? related : undefined;
  },
  write: (value) => (value ?? []).map(({ uid, parameters }) => ['related-to', parameters, 'text', uid]),
};
