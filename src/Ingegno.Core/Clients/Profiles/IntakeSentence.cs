using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>What a sentence says of a client; null where it says nothing. To be checked field by field before it is kept.</summary>
public sealed record Intake
{
    public int? AgeYears { get; init; }

    public Sex? Sex { get; init; }

    /// <summary>kg.</summary>
    public double? BodyMassKg { get; init; }

    /// <summary>cm.</summary>
    public double? StatureCm { get; init; }

    public int? DaysPerWeek { get; init; }

    public int? MinutesPerSession { get; init; }

    public Goal? Goal { get; init; }

    public Level? Level { get; init; }

    public ImmutableArray<SoreJoint> SoreJoints { get; init; } = [];

    public ImmutableArray<ScreeningAnswer> Screening { get; init; } = [];

    public bool HighBloodPressure { get; init; }

    /// <summary>What of health was denied.</summary>
    public ImmutableArray<ScreeningAnswer> Denied { get; init; } = [];

    /// <summary>What was not understood, as it was written.</summary>
    public string Left { get; init; } = string.Empty;
}

/// <summary>
/// Reads an intake in a sentence: "52, female, 68 kg, 165 cm, sore left knee, 3 days, 40 min, wants to keep muscle". Common practice. Every
/// pattern is matched without backtracking, so that reading is linear in the length of the text.
/// </summary>
public static partial class IntakeSentence
{
    /// <summary>Longest text.</summary>
    public const int Longest = 1_000;

    private const RegexOptions How =
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.NonBacktracking | RegexOptions.ExplicitCapture;

    private static readonly Regex Mass = new(@"\b(?<n>[0-9]{2,3}([.,][0-9])?) ?(?<u>kg|kgs|kilos|kilograms|lbs?|pounds)\b", How);

    // "Bench 40 kg x 8" is what somebody lifts, never what he weighs: it is set aside before the body mass is looked for and shown again as
    // not understood.
    private static readonly Regex Lift = new(
        @"\b(squats?|bench(es)?|press(es)?|deadlifts?|rows?|curls?|thrusts?|ohp|dl|dls|rdls?|bp|cleans?|snatch(es)?|jerks?|pulldowns?|dips?|pull-?ups?|chin-?ups?)\b([ :=-]+(about|around|up|to|with|of|at|is|a|max|1 ?rm|best|now)\b)*[ :=-]*[0-9]{2,3}([.][0-9])? ?((kg|kgs|kilos|kilograms|lbs?|pounds)\b( ?([x×*]|for) ?[0-9]{1,2}\b)?|[x×*] ?[0-9]{1,2}\b)",
        How
    );
    private static readonly Regex Stone = new(@"\b(?<n>[0-9]{1,2}) ?(st|stone)( (?<p>[0-9]{1,2})( ?(lbs?|pounds))?)?\b", How);
    private static readonly Regex Centimetres = new(@"\b(?<n>1[0-9]{2}|2[0-4][0-9]) ?cm\b", How);
    private static readonly Regex Metres = new(@"\b(?<n>[12][.,][0-9]{2}) ?m?\b", How);
    private static readonly Regex Feet = new(@"\b(?<f>[4-7]) ?('|ft|feet|foot) ?((?<i>[0-9]{1,2}) ?("".?|''|in|inch|inches)?)?", How);
    private static readonly Regex Days = new(
        @"\b(?<n>[1-7]|one|two|three|four|five|six|seven|once|twice)( ?- ?[1-7])? ?(x|times|days?|sessions|workouts)?( ?/ ?| per | a | every )?(week|wk|days|day a week|times|sessions)\b",
        How
    );
    private static readonly Regex DaysAlone = new(
        @"\b(?<n>[1-7]|one|two|three|four|five|six|seven) ?(days?|sessions|workouts|times|x)\b",
        How
    );
    private static readonly Regex Minutes = new(@"\b(?<n>[0-9]{2,3})( ?- ?[0-9]{2,3})? ?(minutes|mins|min|')", How);
    private static readonly Regex Hours = new(@"\b(?<n>[12]|an|one|half an|1[.,]5|1½) ?(hours?|hrs?|h)\b", How);
    private static readonly Regex AgeSaid = new(
        @"\b((age|aged|age:|is|'s|s) ?(?<n>[1-9][0-9])|(?<n>[0-9]{2}) ?(yo|y/o|yrs?( old)?|years?( old| of age)?|year-old|y)|(f|m|female|male|woman|man|lady|guy|she|he|her|him) ?:? ?(?<n>[0-9]{2})|(?<n>[0-9]{2}) ?\(?(f|m|female|male|woman|man)|(boy|girl|lad|man|woman|lady) of (?<n>[1-9][0-9]))\b",
        How
    );
    private static readonly Regex AgeAlone = new(@"(^|[,;.] ?| / )(?<n>[1-9][0-9])( ?[,;.]| /|$)", How);

    // "No injuries", "otherwise no problems": said, and nothing of it ticks a box or stays to be read as its opposite.
    private static readonly Regex NothingElse = new(
        @"\b(no|without|zero)( (other|known|current|existing|real|major|medical|health))*( (injur(y|ies)|problems?|issues?|complications?|complaints?|conditions?|aches|pains?|niggles?))( or (injur(y|ies)|problems?|issues?|complications?|pains?))*\b",
        How
    );
    private static readonly Regex Woman = new(
        @"\b(female|woman|lady|girl|gal|lass|she|her|f)([0-9]{2})?\b|[0-9]{2} ?(f|female|woman)\b",
        How
    );
    private static readonly Regex Mother = new(@"\b(mum|mother|grandmother) (of|to|with)\b|\b(mum|mother|grandmother)\b", How);
    private static readonly Regex Father = new(@"\b(dad|father|grandfather)\b", How);
    private static readonly Regex DeniedBefore = new(@"\b(no|not|never|without|denies|any) ([a-z]+ ){0,2}$", How);
    private static readonly Regex Man = new(
        @"\b(male|man|guy|bloke|lad|chap|gent|gentleman|he|his|him|m|boy)([0-9]{2})?\b|[0-9]{2} ?(m|male|man)\b",
        How
    );

    private static readonly ImmutableArray<(Regex Words, Goal Goal)> Goals =
    [
        (new(@"\b(strength|stronger|(get|be|stay|feel|become) strong|powerlift\w*|lift heavier|max(es)?)\b", How), Goal.Strength),
        (new(@"\b(muscle|muscles|hypertrophy|size|bigger|bulk|tone|toned|toning|physique|bodybuilding)\b", How), Goal.Muscle),
        (new(@"(^|[,;] ?)(rowing|running|cycling)( ?[,;.]|$)", How), Goal.Endurance),
        (
            new(
                @"\b(endurance|stamina|marathon|triathlon|regatta|((better|faster|fitter) (at|for|in)|for|improve) (her |his |my )?(rowing|running|cycling))\b",
                How
            ),
            Goal.Endurance
        ),
        (
            new(
                @"\b(health|healthy|healthier|fit|fitter|fitness|general|lose weight|weight loss|fat loss|feel better|move better|active|wellbeing|shape)\b",
                How
            ),
            Goal.GeneralFitness
        ),
    ];

    private static readonly ImmutableArray<(Regex Words, Level Level)> Levels =
    [
        (
            new(
                @"\b(complete beginner|beginner|new to (lifting|training|strength|the gym|weights|it)|never (lifted|trained)|untrained|newbie|first time|no experience|just started)\b",
                How
            ),
            Level.Beginner
        ),
        (
            new(
                @"\b(novice|some experience|(a few|[3-9]) months( of)? (training|lifting|experience|in the gym)|(training|lifting|lifted|trained)( for)? (a few|[3-9]) months|half a year of (training|lifting)|a year of (training|lifting)|returning)\b",
                How
            ),
            Level.Novice
        ),
        (
            new(
                @"\b(intermediate|trained for [2-5] years|[2-5] years (of )?(training|lifting)|lifting for [2-5] years|trains? regularly)\b",
                How
            ),
            Level.Intermediate
        ),
        (
            new(
                @"\b(advanced|experienced|competitive|competes|elite|([6-9]|[1-3][0-9]) years (of )?(training|lifting)|lifting for ([6-9]|[1-3][0-9]) years)\b",
                How
            ),
            Level.Advanced
        ),
    ];

    private static readonly ImmutableArray<(string Word, Joint Joint)> Joints =
    [
        ("low(er)? back|back|spine|lumbar", Joint.LowBack),
        ("knees?|acl|meniscus|kneecaps?", Joint.Knee),
        ("shoulders?|rotator cuff", Joint.Shoulder),
        ("elbows?", Joint.Elbow),
        ("wrists?|carpal tunnel", Joint.Wrist),
        ("hips?|groin", Joint.Hip),
        ("ankles?|achilles", Joint.Ankle),
        ("neck", Joint.Neck),
    ];

    private const string AnyJoint = "(low(er)? backs?|backs?|spine|knees?|shoulders?|elbows?|wrists?|hips?|groin|ankles?|achilles|neck)";

    private const string Hurts =
        "frozen|tennis|golfer.?s|sore|bad|dodgy|painful|achy|aching|stiff|cranky|niggly|sensitive|weak|tender|irritated|arthritic|worn";
    private const string Harmed = "injured|torn|broken|sprained|strained|dislocated|ruptured|injury";

    private static readonly ImmutableArray<(Regex Sore, Regex Hurt, Regex Name, Joint Joint)> SoreWords =
    [
        .. Joints.Select(j =>
            (
                new Regex(
                    $@"\b(({Hurts}|{Harmed})( (left|right|both|the|her|his|my|acl|meniscus|ligaments?|tendons?|cartilage|cuff|in|on|at|of)){{0,3}} ({AnyJoint}( and | or |, | & ))?({j.Word})|({j.Word})( (left|right|both|is|are|was|a bit|quite|very|still|both sides|on the left|on the right)){{0,3}},? ({Hurts}|{Harmed}|pain|pains|ache|aches|hurts?|trouble|problems?|issues?|arthritis|niggles?|pinch(es|ing)?|clicks?|tear|injury|surgery|replacement|replaced|locks|locking|gives way|instability|strain|sprain)|({AnyJoint}( and | or |, | & ))({j.Word}) ({Hurts}|pain|ache|aches|hurts?|trouble|problems?|issues?|arthritis)|(problems?|arthritis|pain|trouble|ache|injury|surgery) (with|in|to|on) (the |her |his |my )?(left |right |both )?({AnyJoint}( and | or |, | & ))?(the |her |his |my )?({j.Word}))\b",
                    How
                ),
                new Regex(
                    $@"\b(({Harmed})( (left|right|both|the|her|his|my|acl|meniscus|ligaments?|tendons?|cartilage|in|on|of)){{0,3}} ({j.Word})|({j.Word})( (left|right|both|is|was|still)){{0,2}},? ({Harmed}|tear)|(injury) (to|in|of) (the |her |his |my )?(left |right )?({j.Word}))\b",
                    How
                ),
                new Regex($@"\b((?<side>left|right|both) )?({j.Word})( (?<side>left|right|both))?\b", How),
                j.Joint
            )
        ),
    ];

    private static readonly Regex Idle = new(
        @"\b(any|or|nor|wants? to|would like to|trains?|training|train|can|has|have|had|and|with|is|a|an|the|to|for|in|of|goal|goals|aim|aims|keep|build|gain|get|be|more|some|about|around|roughly|tall|weighs?|weight|height|year|years|old|yo|left|right|both|session|sessions|each|per|week|client|new|years?|s|as|at|on|likes?|her|his|stay|maintain|improve|increase|cm|kg|lose|body|just|main|mainly|looking|months?|days?|minutes|min|up|a week|only|level|lifter|trainee|person|who|than|but|or|it|this|now|yrs?)\b",
        How
    );

    /// <summary>What a text says of a client.</summary>
    public static Intake Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > Longest)
        {
            return new Intake { Left = text[..Longest] };
        }

        // The m of "I'm" says no sex.
        var left = PlainText.Normalize(text.ReplaceLineEndings(", ")).Replace("I'm", "I am", StringComparison.OrdinalIgnoreCase);
        var hurt = SoreWords.Where(s => s.Sore.Matches(left).Any(m => !IsDenied(left, m))).ToList();
        var sore = hurt.Select(s =>
                JointTalk.ReadJoint(
                    s.Joint,
                    s.Hurt.IsMatch(left) ? Soreness.Injured : Soreness.Sore,
                    s.Name,
                    PlainText.Normalize(text),
                    alone: hurt.Count == 1
                )
            )
            .ToImmutableArray();
        var health = HealthTalk.Read(left);
        foreach (var words in health.Words)
        {
            left = left.Replace(words, " ", StringComparison.Ordinal);
        }

        var lifts = Lift.Matches(left).Select(m => m.Value).ToList();
        left = Lift.Replace(left, ", ");
        var stature = Stature(ref left);
        var mass =
            Take(ref left, Mass) is { } m
                ? Figure(m, "n")
                    * (
                        m.Groups["u"].Value.StartsWith('l') || m.Groups["u"].Value.StartsWith('p') || m.Groups["u"].Value.StartsWith('L')
                            ? Units.KgPerPound
                            : 1
                    )
            : Take(ref left, Stone) is { } st ? ((Figure(st, "n") * 14) + (st.Groups["p"].Success ? Figure(st, "p") : 0)) * Units.KgPerPound
            : (double?)null;
        var minutes =
            Take(ref left, Minutes) is { } min ? (int?)Figure(min, "n")
            : Take(ref left, Hours) is { } h ? Hour(h.Groups["n"].Value)
            : null;
        left = NothingElse.Replace(left, ", ");
        var levels = First(ref left, Levels);
        var days = (Take(ref left, Days) ?? Take(ref left, DaysAlone)) is { } d ? (int?)Count(d.Groups["n"].Value) : null;
        foreach (var used in SoreWords.Select(s => s.Sore))
        {
            left = used.Replace(left, " ");
        }

        var age = (
            AgeSaid.Match(left) is { Success: true } said ? said
            : AgeAlone.Match(left) is { Success: true } alone ? alone
            : null
        )
            is { } a
            ? (int?)Figure(a, "n")
            : null;
        var sex = SexIn(left, Woman, Man) ?? SexIn(left, Mother, Father);
        left = AgeSaid.Replace(left, " ");
        left = AgeAlone.Replace(left, ", ");
        left = Mother.Replace(Father.Replace(Woman.Replace(Man.Replace(left, " "), " "), " "), " ");
        var goal = First(ref left, Goals);
        var rest = string.Join(
            ", ",
            left.Split([',', ';', '.'], StringSplitOptions.RemoveEmptyEntries)
                .Select(p => Idle.Replace(p, " ").Trim(' ', '-', ':', '/', '&'))
                .Where(p => p.Any(char.IsLetterOrDigit))
                .Concat(lifts)
        );
        return new Intake
        {
            AgeYears = age is >= 10 and <= 100 ? age : null,
            Sex = sex,
            BodyMassKg = mass is >= 25 and <= 300 ? Math.Round(mass.Value, 1) : null,
            StatureCm = stature is >= 100 and <= 250 ? Math.Round(stature.Value, 1) : null,
            DaysPerWeek = days,
            MinutesPerSession = minutes is >= 5 and <= 240 ? minutes : null,
            Goal = goal,
            Level = levels,
            SoreJoints = sore,
            Screening = health.Holds,
            Denied = health.Denied,
            HighBloodPressure = health.HighBloodPressure,
            Left = rest,
        };
    }

    /// <summary>What is said first: "15 year old boy, mum knows" is a boy.</summary>
    private static Sex? SexIn(string text, Regex woman, Regex man) =>
        (woman.Match(text), man.Match(text)) switch
        {
            ({ Success: true } w, { Success: true } m) => w.Index < m.Index ? Sex.Female : Sex.Male,
            ({ Success: true }, _) => Sex.Female,
            (_, { Success: true }) => Sex.Male,
            _ => null,
        };

    /// <summary>"no knee pain", "never had problems with the knee".</summary>
    private static bool IsDenied(string text, Match match) => DeniedBefore.IsMatch(text[..match.Index]);

    private static double? Stature(ref string text) =>
        Take(ref text, Centimetres) is { } cm ? Figure(cm, "n")
        : Take(ref text, Metres) is { } m ? Figure(m, "n") * 100
        : Take(ref text, Feet) is { } ft ? ((Figure(ft, "f") * 12) + (ft.Groups["i"].Success ? Figure(ft, "i") : 0)) * Units.CmPerInch
        : null;

    private static T? First<T>(ref string text, ImmutableArray<(Regex Words, T Value)> all)
        where T : struct
    {
        foreach (var (words, value) in all)
        {
            if (words.IsMatch(text))
            {
                text = words.Replace(text, " ");
                return value;
            }
        }

        return null;
    }

    private static Match? Take(ref string text, Regex what)
    {
        var match = what.Match(text);
        if (!match.Success)
        {
            return null;
        }

        text = text.Remove(match.Index, match.Length).Insert(match.Index, ", ");
        return match;
    }

    private static double Figure(Match match, string group) =>
        double.Parse(match.Groups[group].Value.Replace(',', '.'), CultureInfo.InvariantCulture);

    private static int Hour(string said) =>
        said.ToLowerInvariant() switch
        {
            "half an" => 30,
            "2" => 120,
            "1.5" or "1,5" or "1½" => 90,
            _ => 60,
        };

    private static int Count(string said) =>
        said.ToLowerInvariant() switch
        {
            "one" or "once" => 1,
            "two" or "twice" => 2,
            "three" => 3,
            "four" => 4,
            "five" => 5,
            "six" => 6,
            "seven" => 7,
            var figure => int.Parse(figure, CultureInfo.InvariantCulture),
        };
}
