/** What mutation testing changes and asks; ./ingegno mutate. */
export const mutation = {
  core: 'src/Ingegno.Core',
  project: 'Ingegno.Core.csproj',

  /** Modules that hold rules; reading of files, vocabularies and records are left out. */
  modules: ['Equipment/Loading', 'Clients/Strength', 'Programs/Commands', 'Rebuilding', 'Progress'],

  /**
   * Codes and names are held by the tests of the words. What asks for the first or the only one of things that are always there fails either way when
   * there is none.
   */
  ignored: ['string', 'linq.First', 'linq.Single'],

  /** Guards of arguments: a caller in this house never passes null, and no test should. */
  ignoredCalls: ['*ThrowIf*'],

  /** Minutes of simulation, the tests of the house and those of modules that are not mutated say nothing of a rule's figure. */
  without: [
    'SimulationTests',
    'CostModelTests.Simulated',
    'KitMatrixTests.No_pattern_is_lost',
    'Tests.Architecture',
    'Tests.Language',
    'Tests.Knowledge.Naming',
    'Tests.Programs.Lines',
    'Tests.Equipment.Kit.',
    'Tests.Clients.Profiles.IntakeSentence',
    'Exercises.CatalogueTests.Every_file',
    'Tests.Knowledge.Figures.',
    'RebuildEngineTests.The_same_request_gives_the_same_plan',
  ],

  /** Seconds each, and seldom the first to notice: asked of what the others let through. */
  slow: [
    'Tests.Approved',
    'KitMatrixTests',
    'RebuildEngineTests',
    'WeekChoiceTests',
    'BlockPlannerTests',
    'BlockReportTests',
    'ReasonTests',
    'ReleaseTests',
    'WholeCatalogueTests',
    'CoachRowTests',
    'ChoiceSolverTests',
    'SessionPlannerTests',
    'ReplacementTests',
    'ProgressionPropertyTests',
  ],

  /** Places that look mutable for each mutant that comes of them: measured. */
  placesPerMutant: 1.7,

  /** Beyond the time of the tests that come to a place: only an endless loop is to end so, not a mutant on a busy machine. */
  additionalTimeoutMs: 60_000,

  /** Share that is to be caught. */
  wanted: 0.85,
};
