import type { FeedSource } from '@/core/model/calendar';
import { DAY } from '@/core/time/civil';
import { instantToWall } from '@/core/time/zones';
import { dateText, timeText } from '@/ui/dates';
import { exchangeWords } from '@/ui/words/exchange';

const said = exchangeWords.feeds;

/** An instant as a date with its time, on a zone's clock. */
export function momentText(instant: number, zone: string): string {
  const wall = instantToWall(zone, instant);
  return `${dateText(Math.floor(wall / DAY))}, ${timeText(wall)}`;
}

/** How it stands with a feed: when it was read last, or what is wrong since when. */
export function feedState(feed: FeedSource, zone: string): { text: string; isProblem: boolean } {
  if (feed.problem)
    return {
      text: `${said.problems[feed.problem.code]}, ${said.since(momentText(feed.problem.since, zone))}. ${said.keptEntries}`,
      isProblem: true,
    };
  return {
    text: feed.refreshed === undefined ? said.never : said.refreshed(momentText(feed.refreshed, zone)),
    isProblem: false,
  };
}
