import add from '@material-symbols/svg-400/rounded/add.svg';
import archive from '@material-symbols/svg-400/rounded/archive.svg';
import arrowBack from '@material-symbols/svg-400/rounded/arrow_back.svg';
import arrowDropDown from '@material-symbols/svg-400/rounded/arrow_drop_down.svg';
import arrowForward from '@material-symbols/svg-400/rounded/arrow_forward.svg';
import arrowRightAlt from '@material-symbols/svg-400/rounded/arrow_right_alt.svg';
import autorenew from '@material-symbols/svg-400/rounded/autorenew.svg';
import badge from '@material-symbols/svg-400/rounded/badge.svg';
import calendarMonth from '@material-symbols/svg-400/rounded/calendar_month.svg';
import chatBubble from '@material-symbols/svg-400/rounded/chat_bubble.svg';
import check from '@material-symbols/svg-400/rounded/check.svg';
import checkCircle from '@material-symbols/svg-400/rounded/check_circle.svg';
import chevronLeft from '@material-symbols/svg-400/rounded/chevron_left.svg';
import chevronRight from '@material-symbols/svg-400/rounded/chevron_right.svg';
import clearDayFill from '@material-symbols/svg-400/rounded/clear_day-fill.svg';
import clearDay from '@material-symbols/svg-400/rounded/clear_day.svg';
import close from '@material-symbols/svg-400/rounded/close.svg';
import coPresent from '@material-symbols/svg-400/rounded/co_present.svg';
import computer from '@material-symbols/svg-400/rounded/computer.svg';
import contentCopy from '@material-symbols/svg-400/rounded/content_copy.svg';
import contrast from '@material-symbols/svg-400/rounded/contrast.svg';
import darkMode from '@material-symbols/svg-400/rounded/dark_mode.svg';
import deleteIcon from '@material-symbols/svg-400/rounded/delete.svg';
import description from '@material-symbols/svg-400/rounded/description.svg';
import devices from '@material-symbols/svg-400/rounded/devices.svg';
import download from '@material-symbols/svg-400/rounded/download.svg';
import dragIndicator from '@material-symbols/svg-400/rounded/drag_indicator.svg';
import draw from '@material-symbols/svg-400/rounded/draw.svg';
import edit from '@material-symbols/svg-400/rounded/edit.svg';
import editNote from '@material-symbols/svg-400/rounded/edit_note.svg';
import error from '@material-symbols/svg-400/rounded/error.svg';
import event from '@material-symbols/svg-400/rounded/event.svg';
import eventBusy from '@material-symbols/svg-400/rounded/event_busy.svg';
import eventRepeat from '@material-symbols/svg-400/rounded/event_repeat.svg';
import factCheckFill from '@material-symbols/svg-400/rounded/fact_check-fill.svg';
import factCheck from '@material-symbols/svg-400/rounded/fact_check.svg';
import gridView from '@material-symbols/svg-400/rounded/grid_view.svg';
import groupsFill from '@material-symbols/svg-400/rounded/groups-fill.svg';
import groups from '@material-symbols/svg-400/rounded/groups.svg';
import help from '@material-symbols/svg-400/rounded/help.svg';
import history from '@material-symbols/svg-400/rounded/history.svg';
import homeWorkFill from '@material-symbols/svg-400/rounded/home_work-fill.svg';
import homeWork from '@material-symbols/svg-400/rounded/home_work.svg';
import hourglassEmpty from '@material-symbols/svg-400/rounded/hourglass_empty.svg';
import key from '@material-symbols/svg-400/rounded/key.svg';
import keyboardArrowDown from '@material-symbols/svg-400/rounded/keyboard_arrow_down.svg';
import keyboardArrowUp from '@material-symbols/svg-400/rounded/keyboard_arrow_up.svg';
import lightMode from '@material-symbols/svg-400/rounded/light_mode.svg';
import link from '@material-symbols/svg-400/rounded/link.svg';
import logout from '@material-symbols/svg-400/rounded/logout.svg';
import meetingRoom from '@material-symbols/svg-400/rounded/meeting_room.svg';
import menuBookFill from '@material-symbols/svg-400/rounded/menu_book-fill.svg';
import menuBook from '@material-symbols/svg-400/rounded/menu_book.svg';
import merge from '@material-symbols/svg-400/rounded/merge.svg';
import mic from '@material-symbols/svg-400/rounded/mic.svg';
import mobile from '@material-symbols/svg-400/rounded/mobile.svg';
import moreVert from '@material-symbols/svg-400/rounded/more_vert.svg';
import moveDown from '@material-symbols/svg-400/rounded/move_down.svg';
import musicNote from '@material-symbols/svg-400/rounded/music_note.svg';
import person from '@material-symbols/svg-400/rounded/person.svg';
import personAdd from '@material-symbols/svg-400/rounded/person_add.svg';
import personRemove from '@material-symbols/svg-400/rounded/person_remove.svg';
import playArrow from '@material-symbols/svg-400/rounded/play_arrow.svg';
import playCircle from '@material-symbols/svg-400/rounded/play_circle.svg';
import printFill from '@material-symbols/svg-400/rounded/print-fill.svg';
import print from '@material-symbols/svg-400/rounded/print.svg';
import redo from '@material-symbols/svg-400/rounded/redo.svg';
import save from '@material-symbols/svg-400/rounded/save.svg';
import scheduleFill from '@material-symbols/svg-400/rounded/schedule-fill.svg';
import schedule from '@material-symbols/svg-400/rounded/schedule.svg';
import search from '@material-symbols/svg-400/rounded/search.svg';
import send from '@material-symbols/svg-400/rounded/send.svg';
import stickyNote from '@material-symbols/svg-400/rounded/sticky_note.svg';
import stop from '@material-symbols/svg-400/rounded/stop.svg';
import style from '@material-symbols/svg-400/rounded/style.svg';
import swapHoriz from '@material-symbols/svg-400/rounded/swap_horiz.svg';
import swapVert from '@material-symbols/svg-400/rounded/swap_vert.svg';
import tablet from '@material-symbols/svg-400/rounded/tablet.svg';
import unarchive from '@material-symbols/svg-400/rounded/unarchive.svg';
import undo from '@material-symbols/svg-400/rounded/undo.svg';
import unfoldLess from '@material-symbols/svg-400/rounded/unfold_less.svg';
import unfoldMore from '@material-symbols/svg-400/rounded/unfold_more.svg';
import uploadFile from '@material-symbols/svg-400/rounded/upload_file.svg';
import verifiedUser from '@material-symbols/svg-400/rounded/verified_user.svg';
import visibility from '@material-symbols/svg-400/rounded/visibility.svg';
import visibilityOff from '@material-symbols/svg-400/rounded/visibility_off.svg';

import { ladder, ladderFill } from './own';

/** The icons that are used, by name: what stands here is in the first view of the page. `icons.test.ts` finds those that nobody uses. */
export const ICONS = {
  add,
  archive,
  'arrow-back': arrowBack,
  'arrow-drop-down': arrowDropDown,
  'arrow-forward': arrowForward,
  'arrow-right-alt': arrowRightAlt,
  autorenew,
  badge,
  'calendar-month': calendarMonth,
  'chat-bubble': chatBubble,
  check,
  'check-circle': checkCircle,
  'chevron-left': chevronLeft,
  'chevron-right': chevronRight,
  'clear-day': clearDay,
  'clear-day-fill': clearDayFill,
  close,
  'co-present': coPresent,
  computer,
  'content-copy': contentCopy,
  contrast,
  'dark-mode': darkMode,
  delete: deleteIcon,
  description,
  devices,
  download,
  'drag-indicator': dragIndicator,
  draw,
  edit,
  'edit-note': editNote,
  error,
  event,
  'event-busy': eventBusy,
  'event-repeat': eventRepeat,
  'fact-check': factCheck,
  'fact-check-fill': factCheckFill,
  'grid-view': gridView,
  groups,
  'groups-fill': groupsFill,
  help,
  history,
  'home-work': homeWork,
  'home-work-fill': homeWorkFill,
  'hourglass-empty': hourglassEmpty,
  key,
  'keyboard-arrow-down': keyboardArrowDown,
  'keyboard-arrow-up': keyboardArrowUp,
  ladder,
  'ladder-fill': ladderFill,
  'light-mode': lightMode,
  link,
  logout,
  'meeting-room': meetingRoom,
  'menu-book': menuBook,
  'menu-book-fill': menuBookFill,
  merge,
  mic,
  mobile,
  'more-vert': moreVert,
  'move-down': moveDown,
  'music-note': musicNote,
  person,
  'person-add': personAdd,
  'person-remove': personRemove,
  'play-arrow': playArrow,
  'play-circle': playCircle,
  print,
  'print-fill': printFill,
  redo,
  save,
  schedule,
  'schedule-fill': scheduleFill,
  search,
  send,
  'sticky-note': stickyNote,
  stop,
  style,
  'swap-horiz': swapHoriz,
  'swap-vert': swapVert,
  tablet,
  unarchive,
  undo,
  'unfold-less': unfoldLess,
  'unfold-more': unfoldMore,
  'upload-file': uploadFile,
  'verified-user': verifiedUser,
  visibility,
  'visibility-off': visibilityOff,
} as const satisfies Record<string, string>;

export type IconName = keyof typeof ICONS;
