using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Core.Programs.Lines;

/// <summary>Work that stands in the program and is kept as it was written.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="Day">Day of the week it belongs to, 0 first.</param>
/// <param name="Kind">What kind of work it is.</param>
/// <param name="Text">As it was written.</param>
public sealed record KeptLine(int Line, int Day, OtherWork Kind, string Text);
