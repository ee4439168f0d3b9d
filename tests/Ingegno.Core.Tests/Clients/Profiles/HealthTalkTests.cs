using System.Text.Json;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Profiles;

/// <summary>Health in what coaches type of clients (common practice): ticked, denied, or of somebody else. Written down before the words were.</summary>
public sealed class HealthTalkTests
{
    [Theory]
    [InlineData("45, male, 88 kg, passed out at work last year", "chest-pain-or-fainting")]
    [InlineData("67, man, triple bypass in 2021", "heart-or-vascular")]
    [InlineData("72, female, on warfarin", "blood-thinners")]
    [InlineData("58, male, blood pressure 170/100", "uncontrolled-blood-pressure bp")]
    [InlineData("58, male, bp 150/95, knows it", "bp")]
    [InlineData("58, male, bp 120/80", "")]
    [InlineData("no heart problems", "-heart-or-vascular")]
    [InlineData("34, woman, no chest pain, no dizziness", "-chest-pain-or-fainting")]
    [InlineData("father had a heart attack", "")]
    [InlineData("my mother is pregnant", "")]
    [InlineData("mother of two, 10 weeks postpartum", "pregnancy-or-recent-birth")]
    [InlineData("never had surgery", "-recent-surgery")]
    [InlineData("knee surgery in spring", "recent-surgery")]
    [InlineData("hip replacement 2023", "joint-replacement")]
    [InlineData("type 1 diabetic with a pump", "metabolic-or-kidney insulin")]
    [InlineData("sets of 5, prediabetic", "metabolic-or-kidney")]
    [InlineData("epileptic, last seizure in 2019", "epilepsy")]
    [InlineData("epilepsi as a child", "epilepsy")]
    [InlineData("osteoporosis in the spine", "thin-bones")]
    [InlineData("ostioporosis", "thin-bones")]
    [InlineData("glaucoma, drops", "eye-disease")]
    [InlineData("asthma, uses an inhaler", "asthma")]
    [InlineData("slipped disc L5", "disc-or-nerve")]
    [InlineData("inguinal hernia on the left", "hernia")]
    [InlineData("beta blockers and a statin", "other-health")]
    [InlineData("breast cancer treated last year", "other-health")]
    [InlineData("works in a hospital, sits a lot", "")]
    [InlineData("told not to lift by the doctor", "only-supervised")]
    [InlineData("hypermobile shoulders, dislocated twice", "dislocation-or-hypermobility")]
    [InlineData("recovering from anorexia", "eating-disorder")]
    [InlineData("concussion in May", "concussion")]
    [InlineData("rower, stroke side, stroke rate 30", "")]
    [InlineData("pacemaker", "heart-or-vascular")]
    [InlineData("dvt after a flight", "blood-thinners")]
    [InlineData("has high blood pressure", "bp")]
    [InlineData("61 m, had a funny turn last month", "chest-pain-or-fainting")]
    [InlineData("55 f, gets puffed walking to the shop", "chest-pain-or-fainting")]
    [InlineData("29 f, baby is 8 weeks old, c-section", "pregnancy-or-recent-birth")]
    [InlineData("44 f, L4/L5 disc op in March", "recent-surgery disc-or-nerve")]
    [InlineData("27 m, shoulder has been out twice, loose joints", "dislocation-or-hypermobility")]
    [InlineData("45 f, knocked out playing hockey three weeks ago", "concussion")]
    [InlineData("41 m, nothing wrong, no meds, no ops, brother has a pacemaker", "-recent-surgery -other-health")]
    [InlineData("36 f, no asthma, no diabetes, not pregnant", "-metabolic-or-kidney -pregnancy-or-recent-birth -asthma")]
    [InlineData("50 m, heart is fine, was checked", "")]
    [InlineData("16 m, parents ok with it, asthma pump", "asthma")]
    [InlineData("44 m, diabetes type one, pump", "metabolic-or-kidney insulin")]
    [InlineData("29 m, high bp in the family, his own is 118/76", "")]
    [InlineData("65 m, grandfather and father both had strokes", "")]
    [InlineData("62 f, tia two years ago, fine since", "heart-or-vascular")]
    [InlineData("55 m, heart bypass, cleared by cardiologist", "heart-or-vascular")]
    [InlineData("doesn't have diabetes or asthma", "-metabolic-or-kidney -asthma")]
    public void Health_is_ticked_denied_or_of_another(string text, string said)
    {
        var read = IntakeSentence.Read(text);
        string.Join(
                ' ',
                read.Screening.Select(Word).Concat(read.Denied.Select(a => "-" + Word(a))).Concat(read.HighBloodPressure ? ["bp"] : [])
            )
            .ShouldBe(said, text);
    }

    [Theory]
    [InlineData("15 year old boy, 60 kg, mum knows", "Male")]
    [InlineData("girl, 16, dad drives her", "Female")]
    [InlineData("mum of three, 34", "Female")]
    [InlineData("52 year old man whose wife trains too", "Male")]
    public void Whose_words_they_are_decides_the_sex(string text, string sex) => IntakeSentence.Read(text).Sex.ToString().ShouldBe(sex);

    [Theory]
    [InlineData("no knee problems", 0)]
    [InlineData("sore knee, no back pain", 1)]
    public void A_joint_that_is_denied_is_not_sore(string text, int joints) => IntakeSentence.Read(text).SoreJoints.Length.ShouldBe(joints);

    [Fact]
    public void Every_answer_has_its_rule_and_every_exercise_of_a_hazard_is_in_the_catalogue()
    {
        DomainRules.Shipped.Health.Answers.Select(a => a.Answer).Except(Enum.GetValues<ScreeningAnswer>().Select(Word)).ShouldBeEmpty();
        DomainRules
            .Shipped.Health.Exercises.SelectMany(e => e.Value)
            .Where(id => DomainRules.Shipped.Catalogue.Find(id) is null)
            .ShouldBeEmpty();
    }

    /// <summary>Each row of handbook and data: what is out stays out after a clearance, over all exercises of the catalogue.</summary>
    [Fact]
    public void What_an_answer_rules_out_stays_out_after_a_clearance()
    {
        foreach (var answer in Enum.GetValues<ScreeningAnswer>())
        {
            var client = Examples.ClientA with
            {
                Level = Level.Advanced,
                Screening = [answer],
                Clearance = new Clearance(new DateOnly(2026, 11, 1), "Dr. Hale, cardiologist"),
            };
            foreach (var hazard in DomainRules.Shipped.Health.Of(Word(answer))?.Avoid ?? [])
            {
                client.Avoids(hazard).ShouldBeTrue();
                foreach (var exercise in DomainRules.Shipped.Catalogue.All.Where(e => DomainRules.Shipped.Health.Is(e, hazard)))
                {
                    CandidateFilter.Why(exercise, client).ShouldNotBeNull($"{answer}: {exercise.Name}");
                }
            }
        }
    }

    [Fact]
    public void A_clearance_ends()
    {
        var client = Examples.ClientA with
        {
            Screening = [ScreeningAnswer.RecentSurgery],
            Clearance = new Clearance(new DateOnly(2026, 8, 1), "Dr. Hale, surgeon"),
        };
        client.AsOf(new DateOnly(2026, 10, 31)).NeedsClearance.ShouldBeFalse();
        client.AsOf(new DateOnly(2026, 11, 2)).NeedsClearance.ShouldBeTrue();
        (client with { Screening = [ScreeningAnswer.Asthma] }).AsOf(new DateOnly(2026, 11, 2)).NeedsClearance.ShouldBeFalse();
    }

    private static string Word(ScreeningAnswer answer) => JsonNamingPolicy.KebabCaseLower.ConvertName(answer.ToString());
}
