/** What an expected failure says: what happened, what was kept, what to do. */
export const FAILURES = {
  language_unknown: "Fastigo does not speak this language. Nothing was changed: choose English, German or Spanish.",
  invalid: "This could not be read, and nothing was changed. Reload the page and try again.",
  bad_json: "The request broke off or was not understood; nothing was changed. Try again.",
  too_large: "This is larger than fits, and nothing was changed.",
  bad_characters:
    "A text holds control characters that cannot be stored, and nothing was changed. Take them out, or type it anew.",
  bad_address: "This address is not one of Fastigo's: it holds characters no address has. Nothing was changed.",
  too_much: "That is more than fits.",
  page_password_missing:
    "Type the password readers are to be asked for. Nothing was changed; it is not published with a password before it has one.",
  wrong_page_password: "This is not the password of this page. Check it, or ask whoever gave you the link.",
  page_slow_down:
    "Passwords were tried very often here just now, so none is looked at for a while. Wait a minute and try again.",
  word_malformed:
    "A short link takes a word of 3 to 40 letters and digits, with hyphens between them, such as over-the-ambrel. Nothing was changed.",
  word_taken: "Another timeline has this word already. Choose another; nothing was changed.",
  words_full: "This page has had ten words, which is as many as lead to one page. Nothing was changed.",
  closes_before_it_opens:
    "It would be over before it opens. Choose a later end or an earlier beginning; nothing was changed.",
  site_malformed:
    "One of these is not the address of a site. A site looks like https://school.example; nothing was changed.",
  copies_not_allowed: "Its author does not let others begin with it. Nothing was copied; ask them.",
  mail_malformed:
    "One of these is not an e-mail address. Write up to 20, each like name@school.example, with commas between them; nothing was sent.",
  mail_needs_email:
    "Mail is sent in your name, and your account has no e-mail address to answer to. Copy the link instead, or add an address under your account; nothing was sent.",
  report_empty: "Say in a few words what is wrong with this page. Nothing was sent yet.",
  operator_only: "There is nothing here that you may see.",
  no_such_colleague:
    "No account has this e-mail address. Ask your colleague to sign up first, or check the spelling; nothing was changed.",
  student_here: "This person is a student of the class, and cannot teach it too. Take them out of the class first.",
  leads_already: "This person leads the class already.",
  lead_stays:
    "Whoever leads a class stays in it, so that it is never nobody's. Hand the leading to another of its teachers first.",
  lead_only: "Only who leads the class can do this. Nothing was changed.",
  roster_too_long:
    "A class takes up to 300 students, and with this list it would have more. Nobody was added; make a class of each part.",
  roster_name_missing: "The list has a line without a name, or is empty. Nobody was added; write a name a line.",
  year_over:
    "The year of this class is over: nothing is begun or handed in any more. What you have made is kept and stays yours.",
  groups_by_teacher: "Your teacher makes the groups for this. Wait for them, or ask; nothing was begun.",
  works_alone: "In this assignment everybody works alone, so nobody is taken into a group.",
  groups_empty: "There is nobody in these groups. Put students into them first; nothing was made.",
  twice_in_groups: "Somebody stands in two of these groups. Take them out of one; nothing was made.",
  begun_meanwhile:
    "Somebody of these groups has begun meanwhile, or left the class. No group was made; reload the page and draw them again.",
  extension_not_later: "More time means a day and time after the one it is due for all. Nothing was changed.",
  no_such_time: "This is no day and time. Choose one from the field; nothing was changed.",
  too_late_to_submit:
    "It is past the due time, and your teacher takes nothing after it. Your timeline is kept; ask your teacher for more time.",
  assistants_comment:
    "Assistants comment, and give no marks. Points and levels were left as they are; ask one of the teachers.",
  marked_meanwhile:
    "A colleague has marked this work meanwhile. Theirs stands and nothing was written over; yours is kept on this page. Reload to see theirs.",
  mark_needs_reason:
    "This mark was given back already. Say why it is changed: the group reads the reason, and the mark before is kept.",
  not_returned_yet: "This can be answered once it has been given back, and up to a hundred times. Nothing was sent.",
  altered_archive:
    "This archive's class does not fit its own receipts: what was handed in was altered after its hash was taken. The class was not brought in.",
  not_empty:
    "Something was written in this timeline already, so no history can be brought back into it. Nothing was changed.",
  owner_stays:
    "A timeline always has an owner. Pass it on to somebody who edits it first, under Share; nothing was changed.",
  group_edits:
    "This is the work of a group, and whoever belongs to it edits it. Take the right away instead, or leave it; nothing was changed.",
  group_writes: "This is the work of a group, and only its members write in it. Nothing was changed.",
  call_over: "Nothing is asked for here any more, so this was not sent. Ask whoever gave you the link.",
  call_full:
    "Very many events wait here to be looked at, so no more are taken just now. Try again in a day; nothing was sent.",
  sender_missing: "Write a name, as you want to be called; nothing was sent yet.",
  event_gone:
    "This event was deleted meanwhile, so nothing can be done to it. Leave the suggestion out, or put the event back first.",
  nothing_suggested: "It says what is there already. Alter something first; nothing was sent.",
  event_untitled: "Say in a few words what happened; the event was not saved yet.",
  not_of_class:
    "This is work for a class, and only its teachers and students may see it before it is published. Nothing was changed.",
  invitation_over: "This link was good until a day that is over. Ask whoever gave it to you for a new one.",
  end_is_past: "The day and time until when it is good are over already. Choose a later one; nothing was sent.",
  nobody_of_that_name:
    "Nobody of this name is in a class with you. Write an e-mail address, or give them a link; nothing was sent.",
  several_of_that_name:
    "Several people in your classes have this name. Write an e-mail address, or give them a link; nothing was sent.",
  remark_empty: "Write a few words first; nothing was sent.",
  remarks_full:
    "There are 500 comments on this already, which is as many as it takes. Delete some, or say it elsewhere; nothing was sent.",
  remark_gone: "This comment was deleted meanwhile. What you wrote is still in the field.",
  no_such_platform:
    "This learning platform is not known here. Ask whoever runs Fastigo at your school to add it; nothing was changed.",
  bad_launch:
    "What your learning platform sent could not be confirmed, so nobody was signed in. Open the link on the platform again; if that does not help, tell its administrator.",
  launch_over:
    "This way in from your learning platform was used already, or took too long. Open the link on the platform again.",
  launch_elsewhere:
    "This way in was begun in another browser, or this one keeps no cookies from here. Open the link on the platform again, in a window of its own.",
  no_course:
    "Your learning platform did not say which course this is, so there is no class to open. Tell its administrator.",
  course_not_opened:
    "Your teacher has to open this course in Fastigo once, from the learning platform, before you can. Nothing was changed.",
  platform_silent:
    "The learning platform does not answer, or not as it should. Nothing was changed; try again in a few minutes.",
  no_second_teacher:
    "Nobody else teaches this class, so there is nobody to mark second. Take in a colleague on the class's page first.",
  marked_by_you: "You marked this work first, so a colleague marks it second. Nothing was changed.",
  too_few_to_review:
    "Two groups at least have to hand in before anybody can read another's work. Nothing was given out.",
  review_empty: "Choose a level or write a few words. Nothing was sent.",
  reply_empty: "Write an answer of up to 2,000 characters. Nothing was sent.",
  question_empty: "Write a few words, up to 2,000 characters. Nothing was sent.",
  questions_full:
    "A hundred questions have been asked here, which is as many as are kept. Nothing was sent; ask in class.",
  rubric_name_missing: "Give the rubric a name to find it by. It was not kept yet.",
  rubrics_full: "You have kept 60 rubrics, which is as many as there is room for. Delete one you no longer need.",
  comment_empty: "A comment to be kept has up to 1,000 characters. Nothing was kept.",
  comments_full: "You have kept 200 comments, which is as many as there is room for. Delete one you no longer use.",
  practice_small:
    "A practice takes at least three events with a title and a date, and this timeline has fewer of the kind that was chosen. Nothing was given; add events, or take parts and spans too.",
  practices_full:
    "This class has 200 practices, which is as many as are kept. This one was not given; take one back that is over.",
  practice_incomplete:
    "Not every event of this practice was placed, so nothing was checked and nothing was sent. Place the others, and check again.",
  looks_full:
    "You have saved 100 looks, which is as many as are kept. This one was not saved; delete one you no longer need, or take it out as a file.",
  teacher_only: "Only the teachers of a class keep looks for it. Nothing was saved; save it for yourself instead.",
  too_slow:
    "This takes the server too long, and it was stopped. What was saved before is kept. Make the timeline smaller, and try again in a few minutes.",
  busy: "Very many people ask for this at once. Nothing was lost; try again in a moment.",
  cannot_draw:
    "This timeline cannot be drawn, and that is a fault of ours. Its events are kept, and can be opened in the editor.",
  disk_full:
    "The server's disk is full, so nothing can be saved just now. What you typed is kept in this browser and sent again; tell whoever runs this server.",
  no_database:
    "Fastigo does not reach its data just now. What you typed is kept in this browser; try again in a minute.",
  other_origin: "This request came from another web site and was refused.",
  sign_in_first: "Sign in first. What you typed is kept in this browser.",
  not_found: "There is nothing here that you may see. Ask its owner for a link, or sign in as somebody else.",
  owner_only: "Only the owner of the timeline can do this. Nothing was changed.",
  change_taken:
    "A change with this number exists already with other content. Yours is kept in this browser; reload to go on.",
  email_taken: "There is an account with this e-mail address. Sign in instead, or use another address.",
  display_name_missing: "Type a display name of 1 to 60 characters. It need not be your real name.",
  email_malformed: "This is not an e-mail address. It looks like name@school.example.",
  password_short: "A password needs at least 8 characters. Several words are easy to remember and hard to guess.",
  password_long: "A password may have at most 200 characters.",
  wrong_password: "No account has this name and password. Check both and try again.",
  step_code_needed: "Type the code your device shows, or one of the spare ones you wrote down.",
  wrong_step_code: "This is not the code of this moment, nor a spare one. Type the one your device shows now.",
  step_code_used: "This code was taken already. Wait until your device shows the next one.",
  steps_on: "Two-step codes are on already. Turn them off first, to begin with another device.",
  steps_not_begun: "This setting up is over. Begin it again.",
  one_address: "Type one address: the letter goes to one person.",
  no_such_provider: "This way in is not set up here. Sign in with name and password.",
  provider_silent: "Your school's sign-on does not answer just now. Try it again in a minute.",
  sign_on_over: "This sign-on is over. Begin it again.",
  sign_on_elsewhere: "This sign-on was begun in another browser, or this one keeps no cookies. Begin it again here.",
  sign_on_left: "You were not signed in: it was broken off at your school's sign-on.",
  bad_sign_on: "What your school's sign-on said could not be trusted, so nobody was signed in. Begin it again.",
  bad_sign_out: "What the sign-on said could not be trusted. Nobody was signed out.",
  use_sign_on: "Your school asks you to come in through its own sign-on.",
  no_password_yet:
    "Your account has no password: you come in through your school. Set one under “Password” first. Nothing was changed.",
  sign_on_again:
    "To set a first password you must have come in a moment ago. Sign out, come in through your school, and set it then.",
  own_words: "These are your own words: alter them or take them back yourself.",
  link_over:
    "This link is not good any more: it was used, it is too old, or the address has changed. Ask for a new one.",
  no_own_address: "Your account has no e-mail address. Nothing was sent.",
  address_proven: "This address was proven already. Nothing was sent.",
  slow_down: "Too many wrong passwords for this account. Wait a moment before the next try.",
  too_often: "This was tried very often just now. Nothing was lost; wait a minute before the next try.",
  password_common:
    "This password is one of those that are tried first. Take another: three or four words that do not belong together, for instance.",
  password_same: "The password must not be your name, address or class code. Take another.",
  wrong_own_password: "Your present password is not this one. Nothing was changed.",
  quota_timeline: "The pictures, videos and sounds of this timeline fill the room there is for one.",
  quota_person: "Your pictures, videos and sounds fill the room there is for one person.",
  video_boxes:
    "This video is cut into more parts than Fastigo reads. Save it again, as MP4 or WebM, with another program.",
  upload_busy: "This file is being put together already. Wait a moment, then ask again.",
  removed_before:
    "The owner has taken you out of this timeline; the old link does not let you in again. Ask for a new one.",
  due_out_of_range: "The due time must lie between the years 2000 and 2200. The assignment was not made.",
  folder_long: "The name of a folder holds 60 characters. Nothing was moved; shorten it and try again.",
  title_long: "A title holds 300 characters. Nothing was saved; shorten it and try again.",
  text_long: "One of the texts is longer than fits. It was not saved and is still where you typed it.",
  description_large: "This description has grown too large. What was saved before is kept; shorten it to go on.",
  not_an_update: "The description could not be merged. It is kept in this browser; reload to go on.",
  no_such_media: "This picture or file does not belong to this timeline. Add it again from its file.",
  file_empty: "This file is empty. Choose another.",
  no_video: "Only a video has a still picture. This is none, and nothing was altered.",
  file_kind:
    "This is not a picture, video or sound Fastigo can show, whatever its name says. Use JPEG, PNG, WebP, AVIF, GIF, SVG, MP4, WebM, MP3, M4A, OGG or WAV.",
  picture_unread:
    "This picture is in the form phones keep theirs in (HEIC), which cannot be read here. Share it from the phone as JPEG, or set its camera to “most compatible”, and add it again.",
  picture_large: "A picture may have at most 20 MB. Save it smaller and add it again.",
  picture_pixels: "This picture has more than 100 million pixels. Save it smaller and add it again.",
  picture_broken: "This picture is damaged and cannot be opened. Save it again from where it came from.",
  address_no_media:
    "At this address is no picture, video, sound or web page Fastigo can show. The address is still where you typed it; use it as a link, or add the file itself.",
  embed_empty:
    "There is no web address in what you pasted. Copy the address of the page, of its video or sound, or the whole code it gives for other pages, and paste it again.",
  player_unread:
    "The site did not say in an understandable way how this is played. Nothing was added; try again later, or add its page as a link.",
  video_large: "A video or sound may have at most 200 MB. Save it shorter or smaller and add it again.",
  piece_missing: "Part of the file has not arrived. What arrived is kept: send the rest.",
  piece_size:
    "This part of the file has the wrong size, because the request was cut off. What arrived before is kept: send it again.",
  address_malformed: "This is not a web address. It begins with https:// or http://.",
  address_private:
    "This address leads into a private network and is not fetched. Save what is there and add it as a file.",
  address_unreachable: "Nothing answered at this address. Save what is there and add it as a file.",
  address_no_picture:
    "What is at this address is not a picture. Open the picture itself, copy its address, or add it as a file.",
  address_no_table:
    "What is at this address is no table that can be read. Open the page with the table, or the file itself, and copy its address.",
  address_large: "What is at this address is larger than 20 MB. Save it smaller and add it as a file.",
  address_slow: "The address did not answer completely within 15 seconds. Save what is there and add it as a file.",
  invitation_ended: "This invitation has been closed or renewed. Ask for a new link.",
  nothing_to_publish: "There is nothing to publish yet. Write a title or an event first.",
  beyond_class_limit:
    "Your class lets work for it be published only so far. Choose fewer readers, or ask your teacher.",
  not_your_school:
    "Only what was made in a class of the school, or is given by one of its teachers, can be published to a school. Choose other readers.",
  school_name_missing: "Give the school a name of up to 120 letters. Nothing was saved.",
  school_needs_email: "A school is kept by somebody with an e-mail address. Sign up with one, and make it there.",
  administrators_only: "Only the school's administrators can do that. Nothing was changed.",
  last_administrator:
    "A school always has an administrator. Make somebody else one first, or end the school. Nothing was changed.",
  account_of_their_own:
    "This account was not made in the class, so it is not the class’s to delete. What the class keeps can be destroyed without it.",
  byline_names:
    "The class wants nobody’s name on what is published. Under About leave the by-line empty or take a pseudonym, and do it again. Nothing was published.",
  voice_unread:
    "This is no recording that can be kept, or it is longer than five minutes. Nothing was kept; record it again.",
  not_your_class: "Only the teacher of a class can give it a timeline that was not made in it. Choose other readers.",
  class_name_missing: "Type a name for the class, of 1 to 80 characters.",
  no_such_zone: "There is no time zone of this name. Choose one from the list; nothing was changed.",
  in_use_elsewhere:
    "This timeline belongs to an assignment already. Choose another, or begin anew; nothing was changed.",
  not_yours_alone: "Only the owner of a timeline can use it for an assignment. Nothing was changed.",
  not_to_improve: "This was handed in already. It can be handed in again once your teacher gives it back to improve.",
  no_such_code: "No class has this code now. Check it, or ask your teacher for the new one.",
  code_over: "This code is wrong, used, or over. Ask your teacher for a new one.",
  assignment_incomplete: "The assignment is not complete and was not made.",
  in_a_group: "You have begun this assignment already. Open it from your timelines.",
  handed_in_and_deleted:
    "You have handed this in and deleted the timeline afterwards. What was handed in is with your teacher; put the timeline back within 30 days to go on with it.",
  not_a_classmate: "Only somebody of the same class, who has not begun this assignment elsewhere, can join.",
  nothing_to_submit: "There is nothing to submit yet. Write an event first.",
  submitted_already: "This has been submitted already. Before it is due you can take it back and submit again.",
  too_late_to_take_back:
    "It is past the due time, the work has been returned, or having handed in has opened the work of others: it can no longer be taken back.",
  points_out_of_range: "The points must lie between 0 and the total of the assignment. Nothing was saved.",
  returned_needs_points:
    "This has been returned with points, so it needs points. Give others instead; nothing of this was saved yet.",
  reason_missing: "Say in a word why it counts otherwise; the group reads it. Nothing was changed.",
  not_marked_yet: "It has no points yet. Give a mark, then return it.",
  no_store:
    "Fastigo does not reach the place where files are kept just now. What was sent is kept; try again in a minute.",
  job_stopped: "This was stopped before it was done. Nothing was lost; ask again when you want it.",
  broken: "Something went wrong here, not with you. What you typed is kept in this browser; try again in a moment.",
} as const;

export type FailureCode = keyof typeof FAILURES;
