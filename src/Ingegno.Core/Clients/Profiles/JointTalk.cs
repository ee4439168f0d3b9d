using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>Hears of a joint that hurts on which side it does, and what brings it on; both only in the sentence that names the joint.</summary>
internal static class JointTalk
{
    private static readonly Lazy<RedHearing> Hearing = new(() =>
        new RedHearing(
            DomainRules.Shipped.Red with
            {
                Signs =
                [
                    .. DomainRules.Shipped.Joints.Provocations.Select(p => new RedSign
                    {
                        Id = Term.For(p.Id).Word,
                        Urgency = RedUrgency.BeforeLoading,
                        Source = p.Source,
                        Words = p.Words,
                        Unless = [],
                    }),
                ],
            }
        )
    );

    private static readonly Regex Side = new(
        @"\b(left|right|both)\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking
    );

    /// <summary>The joint as the sentences say that name it.</summary>
    /// <param name="joint">The joint.</param>
    /// <param name="severity">How much it hurts.</param>
    /// <param name="name">The words of the joint, as a pattern.</param>
    /// <param name="text">The text.</param>
    /// <param name="alone">No other joint is said to hurt: a side that stands apart is its.</param>
    public static SoreJoint ReadJoint(Joint joint, Soreness severity, Regex name, string text, bool alone)
    {
        var sentences = text.Split(['.', ';', '\n']).Where(s => name.IsMatch(s)).ToList();
        var sides = sentences
            .SelectMany(s => name.Matches(s))
            .Select(m => m.Groups["side"].Value.ToLowerInvariant())
            .Where(s => s.Length > 0)
            .Distinct()
            .ToList();
        if (alone && sides.Count == 0 && sentences is [var only] && Side.Matches(only) is { Count: 1 } said)
        {
            sides.Add(said[0].Value.ToLowerInvariant());
        }

        return new SoreJoint(joint, severity)
        {
            Side =
                sides.Count > 1 || sides.Contains("both") ? BodySide.Both
                : sides is ["left"] ? BodySide.Left
                : sides is ["right"] ? BodySide.Right
                : null,
            Provoked =
            [
                .. sentences
                    .SelectMany(s => Hearing.Value.Told(s))
                    .Where(t => !t.Denied && !t.OfAnother)
                    .Select(t => DomainRules.Shipped.Joints.Provocations.First(p => Term.For(p.Id).Word == t.Heard.Sign.Id))
                    .Where(p => p.Joint == joint)
                    .Select(p => p.Id)
                    .Distinct()
                    .Order(),
            ],
        };
    }
}
