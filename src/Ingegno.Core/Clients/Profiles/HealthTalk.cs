using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>What a text says of a client's health.</summary>
/// <param name="Holds">Answers that hold.</param>
/// <param name="Denied">Answers that were denied.</param>
/// <param name="HighBloodPressure">High blood pressure, by word or figure.</param>
/// <param name="Words">What was taken as said of health, as it was written; what is of another person stays where it is.</param>
public sealed record HealthSaid(
    ImmutableArray<ScreeningAnswer> Holds,
    ImmutableArray<ScreeningAnswer> Denied,
    bool HighBloodPressure,
    ImmutableArray<string> Words
);

/// <summary>Hears answers about health in what is typed of a client: denials and other people do not tick anything.</summary>
public static partial class HealthTalk
{
    private const string Pressure = "pressure";

    /// <summary>From here on blood pressure is high, mmHg (AHA 2017: stage 2, from memory).</summary>
    private const int HighSystolic = 140;
    private const int HighDiastolic = 90;

    /// <summary>From here on a clinician comes first, mmHg (docs/domain/cautions, after AHA 2007, from memory).</summary>
    private const int ClinicianSystolic = 160;
    private const int ClinicianDiastolic = 100;

    private static readonly Lazy<RedHearing> Hearing = new(() =>
        new RedHearing(
            DomainRules.Shipped.Red with
            {
                Signs =
                [
                    .. DomainRules.Shipped.Health.Answers.Select(a => Sign(a.Answer, a.Words, a.Unless)),
                    Sign(
                        Pressure,
                        [
                            "high blood pressure|hypertension|hypertensive|high bp|bp is high|blood pressure is high|blood pressure tablets|blood pressure pills|blood pressure meds|blood pressure medication|blood pressure medicine|blood pressure drugs|bp meds|bp tablets|bp pills|bp medication|bluthochdruck",
                        ],
                        []
                    ),
                ],
            }
        )
    );

    [GeneratedRegex(@"\b(?<s>[0-9]{2,3}) ?(?:/|over) ?(?<d>[0-9]{2,3})\b", RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Figures();

    /// <summary>What a text says.</summary>
    public static HealthSaid Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var told = Hearing.Value.Told(text);
        var holds = told.Where(t => !t.Denied && !t.OfAnother).Select(t => t.Heard.Sign.Id).ToHashSet();
        var denied = told.Where(t => t.Denied).Select(t => t.Heard.Sign.Id).Except(holds).ToHashSet();
        var words = told.Where(t => !t.OfAnother).Select(t => t.Heard.Words).ToList();
        var high = holds.Contains(Pressure);
        foreach (Match figure in Figures().Matches(PlainText.Normalize(text)))
        {
            var (systolic, diastolic) = (Number(figure, "s"), Number(figure, "d"));
            if (systolic is < 80 or > 260 || diastolic is < 40 or > 160 || diastolic >= systolic)
            {
                continue;
            }

            words.Add(figure.Value);
            high |= systolic >= HighSystolic || diastolic >= HighDiastolic;
            if (systolic >= ClinicianSystolic || diastolic >= ClinicianDiastolic)
            {
                holds.Add(Term.For(ScreeningAnswer.UncontrolledBloodPressure).Word);
            }
        }

        return new HealthSaid(Answers(holds), Answers(denied), high, [.. words.Distinct().OrderByDescending(w => w.Length)]);
    }

    private static ImmutableArray<ScreeningAnswer> Answers(HashSet<string> ids) =>
        [.. Enum.GetValues<ScreeningAnswer>().Where(a => ids.Contains(Term.For(a).Word))];

    private static int Number(Match match, string group) => int.Parse(match.Groups[group].ValueSpan, CultureInfo.InvariantCulture);

    private static RedSign Sign(string id, ImmutableArray<string> words, ImmutableArray<string> unless) =>
        new()
        {
            Id = id,
            Urgency = RedUrgency.BeforeLoading,
            Source = string.Empty,
            Words = words,
            Unless = unless,
        };
}
