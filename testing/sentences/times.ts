/** Times of day, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const TIMES = `
train thu 06:00 => [train] 2027-03-11T06:00/2027-03-11T07:00
train thu 6:15 => [train] 2027-03-11T06:15/2027-03-11T07:15 or=2027-03-11T18:15
train thu 7:05 => [train] 2027-03-11T07:05/2027-03-11T08:05 or=2027-03-11T19:05
train thu 18:40 => [train] 2027-03-11T18:40/2027-03-11T19:40
flight fri 06:35 => [flight] 2027-03-12T06:35/2027-03-12T07:35
bus at 7:20 tomorrow => [bus] 2027-03-10T07:20/2027-03-10T08:20 or=2027-03-10T19:20
ferry at 8 tomorrow => [ferry] 2027-03-10T08:00/2027-03-10T09:00 or=2027-03-10T20:00
call tomorrow 9:00 => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow 9 => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow at 9 => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow at nine => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow 9am => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow 9 am => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow 9 a.m. => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow 9:30am => [call] 2027-03-10T09:30/2027-03-10T10:30
call tomorrow 9.30 => [call] 2027-03-10T09:30/2027-03-10T10:30
call tomorrow 8.30 => [call] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-10T20:30
call tomorrow at 8.30 => [call] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-10T20:30
call tomorrow 1530 => [call] 2027-03-10T15:30/2027-03-10T16:30
call tomorrow 0830 => [call] 2027-03-10T08:30/2027-03-10T09:30
call tomorrow at 1530 => [call] 2027-03-10T15:30/2027-03-10T16:30
call tomorrow 15h30 => [call] 2027-03-10T15:30/2027-03-10T16:30
call tomorrow 15h => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow 15:30h => [call] 2027-03-10T15:30/2027-03-10T16:30
call tomorrow 15 h => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow 3pm => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow 3 pm => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow 3p.m. => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow three pm => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow at three => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow 3 o'clock => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow at three o'clock => [call] 2027-03-10T15:00/2027-03-10T16:00
call tomorrow half past eight => [call] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-10T20:30
call tomorrow at half past 8 => [call] 2027-03-10T08:30/2027-03-10T09:30 or=2027-03-10T20:30
call tomorrow half past two => [call] 2027-03-10T14:30/2027-03-10T15:30
call tomorrow quarter past nine => [call] 2027-03-10T09:15/2027-03-10T10:15
call tomorrow a quarter to nine => [call] 2027-03-10T08:45/2027-03-10T09:45 or=2027-03-10T20:45
call tomorrow quarter to 3 => [call] 2027-03-10T14:45/2027-03-10T15:45
call tomorrow ten past four => [call] 2027-03-10T16:10/2027-03-10T17:10
call tomorrow twenty to five => [call] 2027-03-10T16:40/2027-03-10T17:40
call tomorrow 5 past 10 => [call] 2027-03-10T10:05/2027-03-10T11:05
call tomorrow half nine => [call] 2027-03-10T09:30/2027-03-10T10:30
call tomorrow noon => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow at noon => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow at midday => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow midnight => [call] 2027-03-11T00:00/2027-03-11T01:00
call tomorrow 12 noon => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow 12:00 => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow 12 => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow 12pm => [call] 2027-03-10T12:00/2027-03-10T13:00
call tomorrow 12am => [call] 2027-03-10T00:00/2027-03-10T01:00
call tomorrow 0:30 => [call] 2027-03-10T00:30/2027-03-10T01:30
call tomorrow 00:15 => [call] 2027-03-10T00:15/2027-03-10T01:15
call tomorrow 24:00 => [call] 2027-03-11T00:00/2027-03-11T01:00
call tomorrow 25:00 => [call 25:00] 2027-03-10/2027-03-11 wrong=no-such-time
call tomorrow 9:75 => [call 9:75] 2027-03-10/2027-03-11 wrong=no-such-time
call at 3 => [call] 2027-03-09T15:00/2027-03-09T16:00
call at 9 => [call] 2027-03-10T09:00/2027-03-10T10:00
call at 11 => [call] 2027-03-09T11:00/2027-03-09T12:00
call at 7 => [call] 2027-03-10T07:00/2027-03-10T08:00 or=2027-03-09T19:00
call at 7 in the evening => [call] 2027-03-09T19:00/2027-03-09T20:00
call at 7 in the morning => [call] 2027-03-10T07:00/2027-03-10T08:00
call at 3 in the afternoon => [call] 2027-03-09T15:00/2027-03-09T16:00
call at 10 at night => [call] 2027-03-09T22:00/2027-03-09T23:00
call at 2 at night => [call] 2027-03-10T02:00/2027-03-10T03:00
call tomorrow morning => [call] 2027-03-10T09:00/2027-03-10T10:00
call tomorrow morning at 8 => [call] 2027-03-10T08:00/2027-03-10T09:00
call tomorrow at 8 in the morning => [call] 2027-03-10T08:00/2027-03-10T09:00
call tomorrow afternoon => [call] 2027-03-10T14:00/2027-03-10T15:00
call tomorrow evening => [call] 2027-03-10T19:00/2027-03-10T20:00
call thursday evening at 7 => [call] 2027-03-11T19:00/2027-03-11T20:00
call thursday night => [call] 2027-03-11T20:00/2027-03-11T21:00
call this afternoon => [call] 2027-03-09T14:00/2027-03-09T15:00
call this evening => [call] 2027-03-09T19:00/2027-03-09T20:00
call tonight => [call] 2027-03-09T20:00/2027-03-09T21:00
call tonight at 9 => [call] 2027-03-09T21:00/2027-03-09T22:00
call tonight 9:30 => [call] 2027-03-09T21:30/2027-03-09T22:30
dinner fri at 7 => [dinner] 2027-03-12T19:00/2027-03-12T20:00 or=2027-03-12T07:00
dinner fri 7 => [dinner] 2027-03-12T19:00/2027-03-12T20:00 or=2027-03-12T07:00
dinner fri 7:30 => [dinner] 2027-03-12T19:30/2027-03-12T20:30 or=2027-03-12T07:30
dinner with salma fri 8 => [dinner with salma] 2027-03-12T20:00/2027-03-12T21:00 or=2027-03-12T08:00
supper saturday at 6:30 => [supper] 2027-03-13T18:30/2027-03-13T19:30 or=2027-03-13T06:30
drinks thu 6 => [drinks] 2027-03-11T18:00/2027-03-11T19:00 or=2027-03-11T06:00
drinks thu at 8 => [drinks] 2027-03-11T20:00/2027-03-11T21:00 or=2027-03-11T08:00
choir tue 7:30 => [choir] 2027-03-09T19:30/2027-03-09T20:30 or=2027-03-16T07:30
breakfast wed 8 => [breakfast] 2027-03-10T08:00/2027-03-10T09:00 or=2027-03-10T20:00
breakfast with ines thu at 7 => [breakfast with ines] 2027-03-11T07:00/2027-03-11T08:00 or=2027-03-11T19:00
run sat at 6 => [run] 2027-03-13T06:00/2027-03-13T07:00 or=2027-03-13T18:00
theatre sat 7pm => [theatre] 2027-03-13T19:00/2027-03-13T20:00
party sat at 9 => [party] 2027-03-13T21:00/2027-03-13T22:00 or=2027-03-13T09:00
lunch tomorrow at 1 => [lunch] 2027-03-10T13:00/2027-03-10T14:00
lunch tomorrow 12:30 => [lunch] 2027-03-10T12:30/2027-03-10T13:30
lunch tomorrow at 12 => [lunch] 2027-03-10T12:00/2027-03-10T13:00
coffee at 4 => [coffee] 2027-03-09T16:00/2027-03-09T17:00
board at 3 => [board] 2027-03-09T15:00/2027-03-09T16:00
board at 6 => [board] 2027-03-09T18:00/2027-03-09T19:00 or=2027-03-10T06:00
works round at 8 => [works round] 2027-03-10T08:00/2027-03-10T09:00 or=2027-03-09T20:00
9:00 works round tomorrow => [works round] 2027-03-10T09:00/2027-03-10T10:00
9am works round tomorrow => [works round] 2027-03-10T09:00/2027-03-10T10:00
at 9 works round tomorrow => [works round] 2027-03-10T09:00/2027-03-10T10:00
tomorrow at 9 works round => [works round] 2027-03-10T09:00/2027-03-10T10:00
call 15:00 => [call] 2027-03-09T15:00/2027-03-09T16:00
call 9:00 => [call] 2027-03-10T09:00/2027-03-10T10:00
call 10:00 => [call] 2027-03-10T10:00/2027-03-10T11:00
call 10:20 => [call] 2027-03-09T10:20/2027-03-09T11:20
call 10:30 => [call] 2027-03-09T10:30/2027-03-09T11:30
call in 20 minutes => [call] 2027-03-09T10:40/2027-03-09T11:40
call in half an hour => [call] 2027-03-09T10:50/2027-03-09T11:50
call in an hour => [call] 2027-03-09T11:20/2027-03-09T12:20
call in 2 hours => [call] 2027-03-09T12:20/2027-03-09T13:20
call in 3 days at 9 => [call] 2027-03-12T09:00/2027-03-12T10:00
call around 15:00 tomorrow => [call] 2027-03-10T15:00/2027-03-10T16:00
call about 3pm tomorrow => [call] 2027-03-10T15:00/2027-03-10T16:00
call at about 3 tomorrow => [call] 2027-03-10T15:00/2027-03-10T16:00
call @ 3pm tomorrow => [call] 2027-03-10T15:00/2027-03-10T16:00
call @15:00 tomorrow => [call] 2027-03-10T15:00/2027-03-10T16:00
call by 17:00 friday => [call] 2027-03-12T17:00/2027-03-12T18:00
call 16:00hrs tomorrow => [call] 2027-03-10T16:00/2027-03-10T17:00
call tomorrow 16:00 uhr => [call] 2027-03-10T16:00/2027-03-10T17:00
call tomorrow 4:05 => [call] 2027-03-10T16:05/2027-03-10T17:05
call tomorrow 04:05 => [call] 2027-03-10T04:05/2027-03-10T05:05
call fri 13.45 => [call] 2027-03-12T13:45/2027-03-12T14:45
call fri 9h15 => [call] 2027-03-12T09:15/2027-03-12T10:15
call fri 09h00 => [call] 2027-03-12T09:00/2027-03-12T10:00
`;
