import { ARRANGEMENTS } from '#core/arrangements/index'
import { PAGE_SCREENS } from '../../screens'
import type { Command } from '../../session/command'
import type { SessionStore } from '../../session/store'
import { addArranged } from '../add-arranged'
import { ADD_COMMANDS, blockCommands, COMMANDS, copyCommands } from '../commands'
import { COMMAND_TERMS, SCREEN_TERMS } from './terms'
import { propertyCommands, settingCommands } from './tray-commands'

const withTerms = (command: Command): Command => {
  const also = COMMAND_TERMS[command.name]
  return also === undefined ? command : { ...command, also }
}

const titled = (screen: string): string => `${screen[0]!.toUpperCase()}${screen.slice(1)}`

/**
 * Everything that can be done, set, added or gone to, by name.
 * @param onGo goes to a screen of the page, by the last part of its address
 */
export function allCommands(store: SessionStore, onGo: (screen: string) => void): Command[] {
  const named = COMMANDS.filter((one, i) => COMMANDS.findIndex((other) => other.name === one.name) === i)
  const play = withTerms({ name: 'Play page', key: 'P', run: () => onGo('play') })
  const screens = PAGE_SCREENS.filter((one) => one !== 'compose' && one !== 'play').map((screen): Command => ({
    name: `Go to ${titled(screen)}`,
    also: `${screen}, ${SCREEN_TERMS[screen]}`,
    run: () => onGo(screen),
  }))
  const possible = (one: Command) => one.possible?.(store) ?? true
  const arranged = ARRANGEMENTS.map((one): Command => ({
    name: `Add section: ${one.job.replace('-', ' ')}, “${one.name}”`,
    also: `${one.name.replaceAll(',', '')}, ${one.job} ${one.name.replaceAll(',', '')}, arrangement ${one.name.replaceAll(',', '')}`,
    run: (to) => addArranged(to, one),
  }))
  const adding = [...ADD_COMMANDS, ...copyCommands(store), ...arranged]
  const setting = [...propertyCommands(store), ...settingCommands(store)]
  const isSetting = store.getState().selection !== null
  return [
    play,
    // Of one name, what is set on the selection is meant first.
    ...(isSetting ? [...setting, ...adding] : [...adding, ...setting]),
    ...screens,
    ...named.map(withTerms),
    ...blockCommands(store),
  ].filter(possible)
}
