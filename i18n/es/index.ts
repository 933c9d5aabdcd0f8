import align from './align.json'
import bench from './bench.json'
import claim from './claim.json'
import command from './command.json'
import common from './common.json'
import doubt from './doubt.json'
import entry from './entry.json'
import error from './error.json'
import figure from './figure.json'
import findings from './findings.json'
import form from './form.json'
import frame from './frame.json'
import gateway from './gateway.json'
import guide from './guide.json'
import instruments from './instruments.json'
import intake from './intake.json'
import item from './item.json'
import job from './job.json'
import kind from './kind.json'
import look from './look.json'
import note from './note.json'
import owner from './owner.json'
import paper from './paper.json'
import part from './part.json'
import people from './people.json'
import practice from './practice.json'
import receiver from './receiver.json'
import recording from './recording.json'
import repair from './repair.json'
import rules from './rules.json'
import run from './run.json'
import search from './search.json'
import server from './server.json'
import settings from './settings.json'
import sheet from './sheet.json'
import signals from './signals.json'
import statement from './statement.json'
import trial from './trial.json'
import verdict from './verdict.json'
import work from './work.json'
import yup from './yup.json'

/** Messages by area; a new area is named here, in both languages. */
export default {
  align,
  bench,
  claim,
  command,
  common,
  doubt,
  entry,
  error,
  figure,
  findings,
  form,
  frame,
  gateway,
  guide,
  instruments,
  intake,
  item,
  job,
  kind,
  look,
  note,
  owner,
  paper,
  part,
  people,
  practice,
  receiver,
  recording,
  repair,
  rules,
  run,
  search,
  server,
  settings,
  sheet,
  signals,
  statement,
  trial,
  verdict,
  work,
  yup,
}
