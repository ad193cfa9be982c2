/** Zones, places, calendars, availability, visibility, reminders and links, as hurried people write them, each with the whole reading; today is Tuesday 9 March 2027, 10:20. */
export const SIGNS = `
panel 15:00 CET => [panel] 2027-03-09T15:00/2027-03-09T16:00 zone=Europe/Berlin
panel thu 15:00 cet => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/Berlin
panel thu 3pm EST => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/New_York
panel thu 3pm est => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/New_York
panel thu 15:00 GMT => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=UTC
panel thu 15:00 UTC => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=UTC
panel thu 15:00 (UTC) => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=UTC
panel thu 15:00 UTC+2 => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Etc/GMT-2
panel thu 15:00 GMT+2 => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Etc/GMT-2
panel thu 15:00 gmt-3 => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Etc/GMT+3
panel thu 15:00 UTC+05:30 => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Asia/Kolkata
panel thu 15:00 BST => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/London
panel thu 15:00 PST => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/Los_Angeles
panel thu 15:00 ET => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/New_York
panel thu 15:00 Halifax => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/Halifax
panel thu 15:00 halifax => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/Halifax
panel thu 15:00 Halifax time => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/Halifax
panel thu 15:00 in Halifax time => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/Halifax
panel thu 15:00 New York => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/New_York
panel thu 15:00 New York time => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=America/New_York
panel thu 9-10 New York time => [panel] 2027-03-11T09:00/2027-03-11T10:00 zone=America/New_York
panel thu 15:00 Oslo time for 30 min => [panel] 2027-03-11T15:00/2027-03-11T15:30 zone=Europe/Oslo
panel thu 15:00 India => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Asia/Kolkata
panel thu 15:00 Norway time => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/Oslo
panel thu 15:00 Munich => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/Berlin
panel thu 15:00 Azores => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Atlantic/Azores
panel 15:00 Warsaw thu => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/Warsaw
panel thu 15:00 JST => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Asia/Tokyo
panel thu 15:00-16:00 CET => [panel] 2027-03-11T15:00/2027-03-11T16:00 zone=Europe/Berlin
panel thu 10:00 CEST in Chart room => [panel] 2027-03-11T10:00/2027-03-11T11:00 zone=Europe/Berlin place=Chart room
panel thu 15:00 in Halifax => [panel] 2027-03-11T15:00/2027-03-11T16:00 place=Halifax
halifax call 14:00 => [halifax call] 2027-03-09T14:00/2027-03-09T15:00
oslo report thu => [oslo report] 2027-03-11/2027-03-12
review thu 10:00 at Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu 10:00 in Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu 10:00 in the Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu 10:00 @ Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu 10:00 @Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review at Lamp room thu 10:00 => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review in Chart room thu 10-11 => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Chart room
review at Gull Point on friday => [review] 2027-03-12/2027-03-13 place=Gull Point
at Lamp room review thu 10:00 => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu at 10 at Lamp room => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room
review thu 10:00 at Lamp room, bring drawings => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Lamp room, bring drawings
review thu 10:00 in Chart room with Oona => [review] 2027-03-11T10:00/2027-03-11T11:00 place=Chart room with Oona
review thu 10:00 at home => [review] 2027-03-11T10:00/2027-03-11T11:00 place=home
review thu 10:00 at 12 Harbour Street => [review] 2027-03-11T10:00/2027-03-11T11:00 place=12 Harbour Street
review thu 10:00 in room 204 => [review] 2027-03-11T10:00/2027-03-11T11:00 place=room 204
call tobias about lenses thu 10:00 => [call tobias about lenses] 2027-03-11T10:00/2027-03-11T11:00
meet ines at Boat shed tomorrow 14:00 for 2 hours => [meet ines] 2027-03-10T14:00/2027-03-10T16:00 place=Boat shed
board thu 10:00 #ME => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=ME
board #ME thu 10:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=ME
#ME board thu 10:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=ME
board thu 10:00 #meetings => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=ME
board thu 10:00 #DW => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=DW
board thu 10:00 #nowhere => [board #nowhere] 2027-03-11T10:00/2027-03-11T11:00
board thu 10:00 in the Meetings calendar => [board] 2027-03-11T10:00/2027-03-11T11:00 calendar=ME
board thu 10:00 tentative => [board] 2027-03-11T10:00/2027-03-11T11:00 as=tentative
tentative board thu 10:00 => [tentative board] 2027-03-11T10:00/2027-03-11T11:00
board thu 10:00 (tentative) => [board] 2027-03-11T10:00/2027-03-11T11:00 as=tentative
board tentative thu 10:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 as=tentative
board thu 10:00 as tentative => [board] 2027-03-11T10:00/2027-03-11T11:00 as=tentative
board thu 10:00, tentative => [board] 2027-03-11T10:00/2027-03-11T11:00 as=tentative
board thu 10:00 free => [board] 2027-03-11T10:00/2027-03-11T11:00 as=free
board thu 10:00 show as free => [board] 2027-03-11T10:00/2027-03-11T11:00 as=free
board thu 10:00 busy => [board] 2027-03-11T10:00/2027-03-11T11:00 as=busy
board thu 10:00 away => [board] 2027-03-11T10:00/2027-03-11T11:00 as=away
home thu away => [home] 2027-03-11/2027-03-12 as=away
halifax trip 18-21 march away => [halifax trip] 2027-03-18/2027-03-22 as=away
board thu 10:00 private => [board] 2027-03-11T10:00/2027-03-11T11:00 visible=private
board thu 10:00 (private) => [board] 2027-03-11T10:00/2027-03-11T11:00 visible=private
private board thu 10:00 => [private board] 2027-03-11T10:00/2027-03-11T11:00
dentist thu 9:00 private away => [dentist] 2027-03-11T09:00/2027-03-11T10:00 as=away visible=private
dentist thu 9:00, private, 30 min => [dentist] 2027-03-11T09:00/2027-03-11T09:30 visible=private
dentist thu 9:00 confidential => [dentist] 2027-03-11T09:00/2027-03-11T10:00 visible=confidential
free coffee thu 10:00 => [free coffee] 2027-03-11T10:00/2027-03-11T11:00
private dinner at Oona's fri 7 => [private dinner] 2027-03-12T19:00/2027-03-12T20:00 place=Oona's or=2027-03-12T07:00
busy beach clean-up sat => [busy beach clean-up] 2027-03-13/2027-03-14
board thu 10:00 remind me 10 minutes before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=10
board thu 10:00 remind me 10 min before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=10
board thu 10:00 remind 15 min => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=15
board thu 10:00 reminder 1 hour => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=60
board thu 10:00 reminder 1 hour before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=60
board thu 10:00 remind me an hour before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=60
board thu 10:00 remind me half an hour before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=30
board thu 10:00 remind me 2 days before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=2d
board thu 10:00 remind me the day before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=1d
board thu 10:00 alert me 30 min before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=30
board thu 10:00 with a 15 min reminder => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=15
board thu 10:00 text me an hour before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=60/text
board thu 10:00 mail me the day before at 16:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=1@16:00/email
board thu 10:00 email me a reminder 2 days before at 9am => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=2@09:00/email
board thu 10:00 remind me at 4pm the day before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=1@16:00
board thu 10:00 remind me the evening before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=1@18:00
board thu 10:00 remind me on the day at 8:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=0@08:00
board thu 10:00 remind me 5 min before the end => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=end-5
board thu 10:00 remind me 10 minutes after the end => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=end+10
board thu 10:00 remind me when i leave => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=leaving-0
board thu 10:00 remind me 15 min before leaving => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=leaving-15
board thu 10:00 remind me 10 min before and text me an hour before => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=10,60/text
board thu 10:00 remind me 20 minutes before by text => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=20/text
board thu 10:00 remind me 20 minutes before with a sound => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=20/sound
text me the list thu 10:00 => [text me the list] 2027-03-11T10:00/2027-03-11T11:00
mail the drawings thu 10:00 => [mail the drawings] 2027-03-11T10:00/2027-03-11T11:00
board thu 10:00 no reminder => [board] 2027-03-11T10:00/2027-03-11T11:00 remind=never
remind me to call oona thu 10:00 => [remind me to call oona] 2027-03-11T10:00/2027-03-11T11:00
board thu 10:00 for 2h remind me 1 week before => [board] 2027-03-11T10:00/2027-03-11T12:00 remind=7d
board thu 10:00 https://rooms.fennick.example/board => [board] 2027-03-11T10:00/2027-03-11T11:00 link=https://rooms.fennick.example/board
https://rooms.fennick.example/board board thu 10:00 => [board] 2027-03-11T10:00/2027-03-11T11:00 link=https://rooms.fennick.example/board
board thu 10:00 www.fennick.example/agenda => [board] 2027-03-11T10:00/2027-03-11T11:00 link=https://www.fennick.example/agenda
board thu 10:00, https://rooms.fennick.example/a?b=1&c=2-3 => [board] 2027-03-11T10:00/2027-03-11T11:00 link=https://rooms.fennick.example/a?b=1&c=2-3
board thu 10:00 45 min in Chart room #ME private remind me 10 min before => [board] 2027-03-11T10:00/2027-03-11T10:45 place=Chart room calendar=ME visible=private remind=10
`;
