namespace Ingegno.Core.Progress.Progression;

/// <summary>What has a say in the next session beside the log: a block, for instance.</summary>
public interface IProposalGuide
{
    /// <summary>The proposal as it stands within what was planned; itself when nothing was.</summary>
    /// <param name="said">What the log proposes.</param>
    /// <param name="context">The exercise.</param>
    /// <param name="history">Its log.</param>
    Proposal Guide(Proposal said, ProgressionContext context, LineHistory history);
}
